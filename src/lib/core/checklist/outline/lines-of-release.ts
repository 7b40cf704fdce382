import type { CardSelector } from '../card-selector.ts';
import type { Card } from '../card.ts';
import { foldedRuns } from '../fold-runs.ts';
import { parseCardNumber } from '../numbers/card-number.ts';
import { formatOdds, type Odds } from '../odds.ts';
import type { Parallel } from '../parallel.ts';
import type { PackType, Release } from '../release.ts';
import { formatGuarantee } from '../rule-sheet/guarantees-column.ts';
import type { Section } from '../section.ts';
import type { NumberRun, OutlineLine, RunTarget } from './outline.ts';

/**
 * The outline of a release: what another on the same model begins from. It tells packs, sections with
 * their numbers, series and parallels; not what belongs to single cards: titles, marks, variants.
 */
export function linesOfRelease(release: Release): readonly OutlineLine[] {
	const { name, maker, year, packTypes, sections, parallels } = release;
	return [
		{ kind: 'release', name: said(name), maker: said(maker), year },
		...packTypes.map((pack) => packLine(pack, release)),
		...sections.flatMap((section) => sectionLines(section, release)),
		...parallels.flatMap((parallel) => parallelLines(parallel, sections))
	];
}

/**
 * The release line of the next year's: its year counted on, wherever the name says it.
 *
 * @example nextYear({ kind: 'release', name: 'Lights 1994', maker: 'M', year: '1994-95' }) // { kind: 'release', name: 'Lights 1995', maker: 'M', year: '1995-96' }
 */
export function nextYear<Line extends OutlineLine & { readonly kind: 'release' }>(
	line: Line
): Line {
	const on = (text: string, digits: number) =>
		String(Number(text) + 1)
			.slice(-digits)
			.padStart(digits, '0');
	const first = line.year.slice(0, 4);
	const rest = line.year.slice(5);
	const year = on(first, 4) + (rest ? `-${on(rest, rest.length)}` : '');
	return {
		...line,
		year,
		name: line.name.replaceAll(line.year, year).replaceAll(first, on(first, 4))
	};
}

/** A name as a line may hold it: without the marks that part a line. */
const said = (name: string) =>
	name
		.replace(/[,:\n]+/g, ' ')
		.replace(/\s+/g, ' ')
		.trim();

function packLine(pack: PackType, release: Release): OutlineLine {
	const { name, cardsPerPack, packsPerBox, boxesPerCase, priceMinor, currency, form } = pack;
	const { packs = [], guarantees = [] } = pack;
	const names = {
		sections: release.sections.map(({ key, name: called }) => ({ key, name: said(called) })),
		parallels: release.parallels.map(({ key, name: called }) => ({ key, name: said(called) }))
	};
	return {
		kind: 'pack',
		name: said(name),
		...(cardsPerPack ? { cards: cardsPerPack } : {}),
		...(packsPerBox ? { packs: packsPerBox } : {}),
		...(boxesPerCase ? { boxes: boxesPerCase } : {}),
		...(guarantees.length > 0
			? { guarantees: guarantees.map((guarantee) => formatGuarantee(guarantee, names)) }
			: {}),
		...(priceMinor !== undefined && currency ? { price: { minor: priceMinor, currency } } : {}),
		...(form ? { form: said(form) } : {}),
		...(packs.length > 0
			? {
					madeOf: packs.map(({ packType, count }) => ({
						count,
						pack: said(release.packTypes.find(({ key }) => key === packType)?.name ?? packType)
					}))
				}
			: {})
	};
}

function sectionLines(section: Section, release: Release): readonly OutlineLine[] {
	const { cards, numberedIn, edition, odds, arrangement, printRun, statedTotal } = section;
	const nameOf = (key: string) =>
		said(release.sections.find((other) => other.key === key)?.name ?? key);
	const guests = release.sections.filter((other) => other.numberedIn === section.key);
	const numbered = [...cards, ...guests.flatMap((guest) => guest.cards)];
	const unnumbered = cards.filter(({ number }) => number === null).length;
	return [
		{
			kind: 'section',
			section: section.kind,
			name: said(section.name),
			...(numberedIn ? { numberedIn: nameOf(numberedIn) } : {}),
			...(edition ? { editionOf: edition.of.map(nameOf) } : {}),
			runs: runsOf(numbered),
			...(unnumbered > 0 ? { count: unnumbered } : {}),
			odds: odds.map((each: Odds) => ({
				pack: said(release.packTypes.find(({ key }) => key === each.packType)?.name ?? ''),
				odds: formatOdds(each)
			})),
			...(printRun ? { printRun } : {}),
			...(statedTotal ? { statedTotal } : {}),
			...(section.listed === (section.kind !== 'extra') ? {} : { listed: section.listed }),
			...(arrangement?.kind === 'puzzle'
				? { grid: { columns: arrangement.columns, rows: arrangement.rows } }
				: {}),
			...(arrangement?.kind === 'strip' ? { strip: arrangement.columns } : {}),
			...(section.takesPlaceOf === undefined
				? {}
				: { takesPlaceOf: section.takesPlaceOf && nameOf(section.takesPlaceOf) }),
			...(section.noBaseFinish ? { noBaseFinish: true as const } : {}),
			...(section.format ? { format: section.format } : {}),
			without: (edition?.without ?? []).flatMap((number) =>
				isNumber(number) ? [{ from: number, to: number }] : []
			),
			...(edition?.from ? { from: edition.from } : {})
		},
		...section.series.map(({ name, from, to }): OutlineLine => {
			return { kind: 'series', name: said(name), from, to };
		})
	];
}

const isNumber = (number: string | null): number is string =>
	number !== null && parseCardNumber(number).digits !== null;

function runsOf(cards: readonly Card[]): readonly NumberRun[] {
	const numbers = cards.flatMap(({ number }) => (isNumber(number) ? [number] : []));
	return foldedRuns(numbers).flatMap((run) =>
		// Letters run as letters do ("A", "B"), which an outline does not know.
		run.length > 2 && parseCardNumber(run[0] ?? '').digits !== null
			? [{ from: run[0] ?? '', to: run.at(-1) ?? '' }]
			: run.map((number) => ({ from: number, to: number }))
	);
}

/** A parallel as far as an outline can tell it: by section and range; rules of single cards are left out. */
function parallelLines(parallel: Parallel, sections: readonly Section[]): readonly OutlineLine[] {
	const targets = parallel.runs.flatMap((rule): readonly RunTarget[] => {
		const rest = {
			isExcluded: rule.notIssued === true,
			...(rule.printRun ? { printRun: rule.printRun } : {})
		};
		if (rule.cards) return [];
		const run = rangeOf(rule);
		if (run) return [{ ...rest, run }];
		if (rule.sections === undefined) return [rest];
		return rule.sections.map((key) => {
			const section = said(sections.find((other) => other.key === key)?.name ?? key);
			return { ...rest, section };
		});
	});
	return targets.length > 0 ? [{ kind: 'parallel', name: said(parallel.name), targets }] : [];
}

function rangeOf({ from, to }: CardSelector): NumberRun | null {
	const low = from ?? to;
	const high = to ?? from;
	return low !== undefined && high !== undefined && isNumber(low) && isNumber(high)
		? { from: low, to: high }
		: null;
}
