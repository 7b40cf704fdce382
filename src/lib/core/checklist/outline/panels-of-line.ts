import { group } from 'd3-array';
import type { Problem } from '../../problem.ts';
import type { CardDraft } from '../draft/draft.ts';
import { parseCardNumber, runStem } from '../numbers/card-number.ts';
import type { OutlineLine, PanelJoin } from './outline.ts';
import type { PlacedLine } from './parse-outline.ts';

export type PanelLine = PlacedLine & OutlineLine & { readonly kind: 'panels' };

/** The panels that a line makes of the numbers of a section, series by series; what is left over is a problem. */
export function panelsOfLine(
	{ joins, of, line }: PanelLine,
	numbers: readonly string[],
	problems: Problem[]
): readonly CardDraft[] {
	return joins.flatMap((join) => {
		const panels = join.kind === 'cards' ? [join.cards] : panelsOfRule(join, numbers);
		const torn = panels.find((panel) => panel.length !== sizeOf(join));
		if (panels.length === 0 || torn) {
			problems.push({
				line,
				message: torn
					? `of ${of}, ${torn.join(' and ')} is left over: no card is there to hang with it`
					: `${of} has no cards for this`,
				remedy: 'Name these panels one by one: 1-1 with 1-9.'
			});
		}
		return panels.map((panel) => ({ title: panel.join(' with '), panelOf: panel }));
	});
}

function sizeOf(join: PanelJoin): number {
	if (join.kind === 'cards') return join.cards.length;
	return join.kind === 'in a row' ? join.count : 2;
}

function panelsOfRule(
	join: Exclude<PanelJoin, { readonly kind: 'cards' }>,
	numbers: readonly string[]
): readonly (readonly string[])[] {
	const runs = group(numbers, (number) => runStem(parseCardNumber(number)));
	const size = sizeOf(join);
	return [...runs.values()].flatMap((run) => {
		const fitting = run.filter((number) => {
			const { digits } = parseCardNumber(number);
			if (digits === null) return false;
			return join.kind === 'in a row' || digits % 2 === (join.kind === 'odd' ? 1 : 0);
		});
		return Array.from({ length: Math.ceil(fitting.length / size) }, (_, i) =>
			fitting.slice(i * size, (i + 1) * size)
		);
	});
}
