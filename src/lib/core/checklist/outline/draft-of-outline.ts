import type { Problem } from '../../problem.ts';
import type {
	CardDraft,
	ParallelDraft,
	ReleaseDraft,
	RunRuleDraft,
	SectionDraft,
	VariantDraft
} from '../draft.ts';
import { formatCardNumber, normalCardNumber, parseCardNumber, runStem } from '../card-number.ts';
import { slug } from '../slug.ts';
import type { NumberRun, OutlineLine } from './outline.ts';
import type { PlacedLine } from './parse-outline.ts';

/** The most cards an outline may make. */
const MOST_CARDS = 50_000;

type SectionLine = PlacedLine & OutlineLine & { readonly kind: 'section' };

/**
 * Makes a release of an outline: runs become cards (a subset's numbers are taken out of the section
 * it lives in), names become keys. Problems carry the line they are about.
 */
export function draftOfOutline(lines: readonly PlacedLine[]): {
	readonly draft: ReleaseDraft;
	readonly problems: readonly Problem[];
} {
	const problems: Problem[] = [];
	const sectionLines = lines.filter((line): line is SectionLine => line.kind === 'section');
	const head = lines.find((line) => line.kind === 'release');
	if (!head) {
		problems.push({
			line: 1,
			message: 'the outline does not say which release it is',
			remedy: 'Begin with: release Name, Maker, 1994'
		});
	}
	for (const again of lines.filter((line) => line.kind === 'release' && line !== head)) {
		problems.push({
			line: again.line,
			message: `the outline names a second release; line ${head?.line ?? 1} has the first`,
			remedy: 'Write an outline for each.'
		});
	}
	const cards = sectionLines.reduce((sum, line) => sum + cardsSaidBy(line), 0);
	if (cards > MOST_CARDS) {
		problems.push({
			line: sectionLines[0]?.line ?? 1,
			message: `the outline says ${cards} cards; at most ${MOST_CARDS} are made of one`,
			remedy: 'Write shorter runs.'
		});
		return { draft: { release: headOf(head), sections: [] }, problems };
	}
	const keyOf = (name: string, line: number): string => {
		const key = slug(name);
		if (!sectionLines.some((section) => slug(section.name) === key)) {
			const known = sectionLines.map((section) => section.name).join(', ');
			problems.push({
				line,
				message: `there is no section "${name}"`,
				remedy: `Sections here: ${known}.`
			});
		}
		return key;
	};
	const packs = lines.filter((line) => line.kind === 'pack');
	return {
		draft: {
			release: headOf(head),
			packTypes: packs.map(({ name, cards, packs: count }) => ({
				key: slug(name),
				name,
				...(cards ? { cardsPerPack: cards } : {}),
				...(count ? { packsPerBox: count } : {})
			})),
			sections: sectionLines.map((line) => sectionOf(line, sectionLines, lines, keyOf, problems)),
			parallels: lines.flatMap((line) =>
				line.kind === 'parallel' ? [parallelOf(line, sectionLines, keyOf)] : []
			),
			variants: lines.flatMap((line) => (line.kind === 'variant' ? variantsOf(line, keyOf) : []))
		},
		problems
	};
}

function headOf(head: (PlacedLine & { readonly kind: 'release' }) | undefined) {
	return {
		name: head?.name ?? 'Untitled',
		maker: head?.maker ?? 'Unknown',
		year: head?.year ?? '1900'
	};
}

/** How many cards a section line speaks of, before any is made. */
function cardsSaidBy({ runs, count = 0 }: SectionLine): number {
	return runs.reduce((sum, { from, to }) => {
		const [low, high] = [from, to].map((number) => parseCardNumber(number).digits ?? 0);
		return sum + Math.max(0, (high ?? 0) - (low ?? 0) + 1);
	}, count);
}

function sectionOf(
	line: SectionLine,
	all: readonly SectionLine[],
	lines: readonly PlacedLine[],
	keyOf: (name: string, line: number) => string,
	problems: Problem[]
): SectionDraft {
	const key = slug(line.name);
	const guests = all.filter(
		({ numberedIn }) => numberedIn !== undefined && slug(numberedIn) === key
	);
	const taken = new Set(
		guests.flatMap((guest) => numbersOf(guest.runs, guest.line, []).map(normalCardNumber))
	);
	const numbers = numbersOf(line.runs, line.line, problems).filter(
		(number) => line.numberedIn !== undefined || !taken.has(normalCardNumber(number))
	);
	if (line.numberedIn) findOverlap(line, all, problems);
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
		...(line.editionOf
			? {
					edition: {
						of: line.editionOf.map((name) => keyOf(name, line.line)),
						without: numbersOf(line.without, line.line, problems)
					}
				}
			: {}),
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
	const listed = new Set(numbersOf(line.runs, line.line, []).map(normalCardNumber));
	const parent = all.find(({ name }) => slug(name) === slug(line.numberedIn ?? ''));
	for (const other of all) {
		if (
			other.line >= line.line ||
			other.numberedIn === undefined ||
			slug(other.numberedIn) !== slug(line.numberedIn ?? '')
		)
			continue;
		const both = numbersOf(other.runs, other.line, []).filter((number) =>
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
	const inside = new Set(numbersOf(parent.runs, parent.line, []).map(normalCardNumber));
	const outside = [...listed].filter((number) => !inside.has(number));
	if (outside.length > 0) {
		problems.push({
			line: line.line,
			message: `${line.name} has ${outside.slice(0, 5).join(', ')}${outside.length > 5 ? ' …' : ''}, which ${parent.name} does not reach`,
			remedy: 'Let the numbers of the section it lives in reach as far.'
		});
	}
}

function parallelOf(
	line: PlacedLine & OutlineLine & { readonly kind: 'parallel' },
	all: readonly SectionLine[],
	keyOf: (name: string, line: number) => string
): ParallelDraft {
	const everything = all.map(({ name }) => slug(name));
	const runs = line.targets.map(({ section, run, isExcluded, printRun }): RunRuleDraft => ({
		...(run
			? { from: run.from, to: run.to }
			: { sections: section ? [keyOf(section, line.line)] : everything }),
		...(printRun ? { printRun } : {}),
		...(isExcluded ? { notIssued: true as const } : {})
	}));
	// "all, not Dogs": an exception of a whole section takes it out of the rule for all.
	const excluded = new Set(runs.flatMap((rule) => (rule.notIssued ? (rule.sections ?? []) : [])));
	return {
		name: line.name,
		runs: runs
			.filter((rule) => !(rule.notIssued && rule.sections))
			.map((rule) =>
				rule.sections && rule.sections.length > 1
					? { ...rule, sections: rule.sections.filter((key) => !excluded.has(key)) }
					: rule
			)
	};
}

export function variantsOf(
	line: PlacedLine & OutlineLine & { readonly kind: 'variant' },
	keyOf: (name: string, line: number) => string
): readonly VariantDraft[] {
	const sections = line.section ? { sections: [keyOf(line.section, line.line)] } : {};
	const shared = { kind: line.variant, name: line.name, ...sections };
	const singles = line.runs.filter(({ from, to }) => from === to).map(({ from }) => from);
	const ranges = line.runs.filter(({ from, to }) => from !== to);
	return [
		...(singles.length > 0 ? [{ ...shared, cards: singles }] : []),
		...ranges.map(({ from, to }) => ({ ...shared, from, to }))
	];
}

/** All numbers of some runs. A run that goes backwards, mixes prefixes or is endless is a problem. */
function numbersOf(runs: readonly NumberRun[], line: number, problems: Problem[]): string[] {
	return runs.flatMap(({ from, to }) => {
		const low = parseCardNumber(from);
		const typed = parseCardNumber(to);
		const high =
			typed.prefix === '' && !typed.roman && !low.roman ? { ...typed, prefix: low.prefix } : typed;
		const count = (high.digits ?? 0) - (low.digits ?? 0) + 1;
		const fault =
			runStem(low) !== runStem(high)
				? `${from} and ${to} are not numbers of one run`
				: count < 1
					? `the range ${from}–${to} runs backwards`
					: null;
		if (fault) {
			problems.push({
				line,
				message: fault,
				remedy: count < 1 ? `Write ${to}-${from}.` : 'Write a run for each of them.'
			});
			return [];
		}
		return Array.from({ length: count }, (_, i) =>
			formatCardNumber({ ...low, digits: (low.digits ?? 0) + i, zeros: i === 0 ? low.zeros : 0 })
		);
	});
}
