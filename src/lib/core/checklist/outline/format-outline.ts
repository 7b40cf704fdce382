import { formatAmount } from '../../money/amount.ts';
import type { CardFormat } from '../card-format.ts';
import { parseCardNumber } from '../numbers/card-number.ts';
import type { CardChoice, NumberRun, OutlineLine, PanelJoin, RunTarget } from './outline.ts';

/** Writes an outline: what `parseOutline` reads back as the same lines. */
export function formatOutline(lines: readonly OutlineLine[]): string {
	return lines.map(formatLine).join('\n');
}

function formatLine(line: OutlineLine): string {
	switch (line.kind) {
		case 'comment':
			return `# ${line.text}`.trim();
		case 'release':
			return `release ${line.name}, ${line.maker}, ${line.year}`;
		case 'pack':
			return withTail(`pack ${line.name}`, [
				line.cards ? `${line.cards} cards` : '',
				line.packs ? `${line.packs} packs` : '',
				line.boxes ? `${line.boxes} boxes` : '',
				...(line.guarantees ?? []).map((guarantee) => `${guarantee} a box`),
				line.price ? formatAmount(line.price) : '',
				line.form ? `form ${line.form}` : '',
				line.madeOf
					? `made of ${line.madeOf.map(({ count, pack }) => `${count} ${pack}`).join(' + ')}`
					: ''
			]);
		case 'series':
			return `series ${line.name}: ${formatRun(line)}`;
		case 'parallel':
			return withTail(`parallel ${line.name}`, line.targets.map(formatTarget));
		case 'variant':
			return `${line.variant} ${line.runs.map(formatRun).join(' + ')}${line.section ? ` in ${line.section}` : ''}: ${line.name}`;
		case 'section':
			return formatSection(line);
		case 'note':
		case 'tell':
			return `${line.kind}: ${line.text}`;
		case 'mark':
			return `${line.mark} ${formatChoice(line)}`;
		case 'tag':
			return `tag ${line.family} = ${line.word}: ${formatChoice(line)}`;
		case 'panels':
			return withTail(`panels ${line.name} of ${line.of}`, line.joins.map(formatJoin));
	}
}

function formatSection(line: OutlineLine & { readonly kind: 'section' }): string {
	const parent = line.numberedIn ? ` in ${line.numberedIn}` : '';
	const repeated = line.editionOf ? ` of ${line.editionOf.join(' + ')}` : '';
	return withTail(`${line.section} ${line.name}${parent}${repeated}`, [
		...line.runs.map(formatRun),
		line.count ? `${line.count} cards` : '',
		...line.odds.map(({ pack, odds }) => `${pack} ${odds}`),
		line.printRun ? `/${line.printRun}` : '',
		line.statedTotal ? `stated ${line.statedTotal}` : '',
		line.listed === undefined ? '' : line.listed ? 'listed' : 'unlisted',
		line.grid ? `grid ${line.grid.columns}x${line.grid.rows}` : '',
		line.strip ? `strip ${line.strip}` : '',
		line.noBaseFinish ? 'no base finish' : '',
		line.takesPlaceOf ? `instead of ${line.takesPlaceOf}` : '',
		line.takesPlaceOf === null ? 'on top' : '',
		...formatMake(line.format),
		line.from ? `from ${line.from}` : '',
		...line.without.map((run) => `without ${formatRun(run)}`)
	]);
}

function formatMake(format: CardFormat = {}): readonly string[] {
	const { widthMm, heightMm, stockPt, shape } = format;
	return [
		widthMm === undefined && heightMm === undefined
			? ''
			: `size ${widthMm ?? '?'} x ${heightMm ?? '?'} mm`,
		stockPt === undefined ? '' : `${stockPt} pt`,
		shape ?? ''
	];
}

function formatChoice({ runs, section }: CardChoice): string {
	return `${runs.map(formatRun).join(', ')}${section ? ` in ${section}` : ''}`;
}

function formatJoin(join: PanelJoin): string {
	switch (join.kind) {
		case 'odd':
			return 'odd with odd';
		case 'even':
			return 'even with even';
		case 'in a row':
			return `${join.count} in a row`;
		case 'cards':
			return join.cards.join(' with ');
	}
}

function formatTarget({ section, run, isExcluded, printRun }: RunTarget): string {
	const what = run ? formatRun(run) : (section ?? 'all');
	return `${isExcluded ? 'not ' : ''}${what}${printRun ? ` /${printRun}` : ''}`;
}

function formatRun({ from, to }: NumberRun): string {
	const isAmbiguous = parseCardNumber(from).series !== null;
	return from === to && !isAmbiguous ? from : `${from}–${to}`;
}

function withTail(head: string, parts: readonly string[]): string {
	const tail = parts.filter(Boolean).join(', ');
	return tail === '' ? head : `${head}: ${tail}`;
}
