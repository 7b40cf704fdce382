import type { Problem } from '../../problem.ts';
import { normalCardNumber, parseCardNumber } from '../numbers/card-number.ts';
import type { CardDraft, SectionDraft } from '../draft/draft.ts';
import { slug } from '../slug.ts';
import { numbersOfRuns } from './numbers-of-runs.ts';
import type { OutlineLine } from './outline.ts';
import { pickDetails } from '../card-details.ts';
import type { PlacedLine } from './parse-outline.ts';
import { textsUnder } from './texts-of-lines.ts';

export type SectionLine = PlacedLine & OutlineLine & { readonly kind: 'section' };

/** How many cards a section line speaks of, before any is made. */
export function cardsSaidBy({ runs, count = 0 }: SectionLine): number {
	return runs.reduce((sum, { from, to }) => {
		const [low, high] = [from, to].map((number) => parseCardNumber(number).digits ?? 0);
		return sum + Math.max(0, (high ?? 0) - (low ?? 0) + 1);
	}, count);
}

/** The section that a line of an outline says: its cards without those that belong to its subsets. */
export function sectionOfLine(
	line: SectionLine,
	all: readonly SectionLine[],
	lines: readonly PlacedLine[],
	keyOf: (name: string, line: number) => string,
	problems: Problem[]
): SectionDraft & { readonly key: string } {
	const key = slug(line.name);
	const guests = all.filter(
		({ numberedIn }) => numberedIn !== undefined && slug(numberedIn) === key
	);
	const taken = new Set(
		guests.flatMap((guest) => numbersOfRuns(guest.runs, guest.line, []).map(normalCardNumber))
	);
	const numbers = numbersOfRuns(line.runs, line.line, problems).filter(
		(number) => line.numberedIn !== undefined || !taken.has(normalCardNumber(number))
	);
	if (line.numberedIn) findOverlap(line, all, problems);
	if (line.from && !line.editionOf) {
		problems.push({
			line: line.line,
			message: `${line.name} repeats no other section, so "from ${line.from}" says nothing`,
			remedy: `Say of which it is an edition (of Base), or write its numbers: ${line.from}-…`
		});
	}
	const cards: CardDraft[] = [
		...numbers.map((number, i) => ({
			number,
			...(line.grid || line.strip ? { place: (i % (line.strip ?? numbers.length)) + 1 } : {})
		})),
		...Array.from({ length: line.count ?? 0 }, (_, i) => ({
			title: `${line.name} ${i + 1}`,
			...(line.grid ? { place: i + 1 } : {})
		}))
	];
	const series = seriesUnder(line, lines);
	return {
		key,
		name: line.name,
		kind: line.section,
		...(line.numberedIn ? { numberedIn: keyOf(line.numberedIn, line.line) } : {}),
		...(line.listed === undefined ? {} : { listed: line.listed }),
		...(line.statedTotal ? { statedTotal: line.statedTotal } : {}),
		...(line.printRun ? { printRun: line.printRun } : {}),
		...(line.odds.length > 0
			? { odds: Object.fromEntries(line.odds.map(({ pack, odds }) => [slug(pack), odds])) }
			: {}),
		...(line.grid ? { arrangement: { kind: 'puzzle' as const, ...line.grid } } : {}),
		...(line.strip
			? { arrangement: { kind: 'strip' as const, columns: line.strip, rows: 1 } }
			: {}),
		...(line.noBaseFinish ? { noBaseFinish: true as const } : {}),
		...(line.takesPlaceOf
			? { takesPlaceOf: keyOf(line.takesPlaceOf, line.line) }
			: pickDetails(line, ['takesPlaceOf'])),
		...(line.format ? { format: line.format } : {}),
		...(line.editionOf
			? {
					edition: {
						of: line.editionOf.map((name) => keyOf(name, line.line)),
						without: numbersOfRuns(line.without, line.line, problems),
						...(line.from ? { from: line.from } : {})
					}
				}
			: {}),
		...textsUnder(line, lines),
		...(series.length > 0 ? { series } : {}),
		cards
	};
}

/** The series lines that follow a section line, up to the next section. */
function seriesUnder(line: SectionLine, lines: readonly PlacedLine[]) {
	const following = lines.slice(lines.indexOf(line) + 1);
	const end = following.findIndex(({ kind }) => kind === 'section');
	return following
		.slice(0, end < 0 ? following.length : end)
		.flatMap((entry) =>
			entry.kind === 'series' ? [{ name: entry.name, from: entry.from, to: entry.to }] : []
		);
}

function findOverlap(line: SectionLine, all: readonly SectionLine[], problems: Problem[]): void {
	const listed = new Set(numbersOfRuns(line.runs, line.line, []).map(normalCardNumber));
	const parent = all.find(({ name }) => slug(name) === slug(line.numberedIn ?? ''));
	for (const other of all) {
		if (
			other.line >= line.line ||
			other.numberedIn === undefined ||
			slug(other.numberedIn) !== slug(line.numberedIn ?? '')
		)
			continue;
		const both = numbersOfRuns(other.runs, other.line, []).filter((number) =>
			listed.has(normalCardNumber(number))
		);
		if (both.length > 0) {
			problems.push({
				line: line.line,
				message: `${line.name} and ${other.name} both have ${both.slice(0, 5).join(', ')}${both.length > 5 ? ' …' : ''}`,
				remedy: 'Give each number to one of them.'
			});
		}
	}
	if (!parent || parent.runs.length === 0) return;
	const inside = new Set(numbersOfRuns(parent.runs, parent.line, []).map(normalCardNumber));
	const outside = [...listed].filter((number) => !inside.has(number));
	if (outside.length > 0) {
		problems.push({
			line: line.line,
			message: `${line.name} has ${outside.slice(0, 5).join(', ')}${outside.length > 5 ? ' …' : ''}, which ${parent.name} does not reach`,
			remedy: 'Let the numbers of the section it lives in reach as far.'
		});
	}
}
