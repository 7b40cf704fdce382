import fc from 'fast-check';
import type { ReleaseDraft, SectionDraft } from './draft.ts';
import { VARIANT_KIND_NAMES } from './variant.ts';

/** One line of printable text, as people would type it, with quotes, commas and semicolons in it. */
export const textLine = fc
	.string({
		unit: fc.constantFrom(...Array.from('abcXYZ 0129,;"\'\\|/&<>é–ßü')),
		minLength: 1,
		maxLength: 20
	})
	.map((text) => text.trim())
	.filter((text) => text !== '' && !text.startsWith('\ufeff'));

const name = fc.stringMatching(/^[A-Z][a-z]{2,7}( [A-Z][a-z]{2,5})?$/);

const card = fc.record(
	{
		title: textLine,
		subjects: fc.array(textLine, { maxLength: 2 }),
		group: textLine,
		rarity: name,
		marks: fc.uniqueArray(fc.constantFrom('rookie' as const, 'key' as const), { maxLength: 2 })
	},
	{ requiredKeys: ['title'] }
);

interface Shape {
	readonly prefix: string;
	readonly cards: readonly (typeof card extends fc.Arbitrary<infer Card> ? Card : never)[];
	readonly printRun: number | undefined;
}

const shape: fc.Arbitrary<Shape> = fc.record({
	prefix: fc.constantFrom('', 'T', '3-'),
	cards: fc.array(card, { minLength: 1, maxLength: 8 }),
	printRun: fc.option(fc.integer({ min: 1, max: 500 }), { nil: undefined })
});

/** Base, a subset that runs on in its numbering, inserts with and without numbers, parallels. */
export const releaseDraft: fc.Arbitrary<ReleaseDraft> = fc
	.record({
		name,
		maker: name,
		year: fc.integer({ min: 1890, max: 2030 }).map(String),
		base: shape,
		subset: shape,
		inserts: fc.array(shape, { maxLength: 2 }),
		parallels: fc.uniqueArray(name, { maxLength: 3 }),
		runs: fc.array(fc.option(fc.integer({ min: 1, max: 99 }), { nil: null }), {
			minLength: 12,
			maxLength: 12
		})
	})
	.map(({ base, subset, inserts, parallels, runs, ...release }) => {
		const sections: SectionDraft[] = [
			section('base', 'base', base, 0),
			{
				...section('subset', 'subset', { ...subset, prefix: base.prefix }, 100),
				numberedIn: 'base'
			},
			...inserts.map((insert, i) => section(`insert-${i}`, 'insert', insert, 0, i === 1))
		];
		return {
			release,
			sections,
			// Every parallel covers the base: CSV tells their order by the first section.
			parallels: parallels.map((parallel, p) => ({
				name: parallel,
				runs: sections.flatMap(({ key = '' }, s) => {
					const run = s === 0 ? (runs[p] ?? 10) : (runs[3 * s + p] ?? null);
					return run === null ? [] : [{ sections: [key], printRun: run }];
				})
			}))
		};
	});

function section(
	key: string,
	kind: 'base' | 'subset' | 'insert',
	{ prefix, cards, printRun }: Shape,
	offset: number,
	unnumbered = false
): SectionDraft {
	return {
		key,
		name: key.toUpperCase(),
		kind,
		...(printRun === undefined ? {} : { printRun }),
		cards: cards.map((drawnCard, i) => ({
			...drawnCard,
			number: unnumbered ? null : `${prefix}${offset + i + 1}`
		}))
	};
}

/** The same with what releases really hold: an edition, rules for single cards, variants, a panel. */
export const oddReleaseDraft: fc.Arbitrary<ReleaseDraft> = fc
	.record({
		draft: releaseDraft,
		kind: fc.constantFrom(...VARIANT_KIND_NAMES),
		first: fc.boolean(),
		run: fc.integer({ min: 1, max: 9 }),
		title: textLine
	})
	.map(({ draft, kind, first, run, title }) => {
		const base = draft.sections[0];
		const number = base?.cards[0]?.number ?? '';
		return {
			...draft,
			sections: [
				...draft.sections,
				{
					key: 'foil-edition',
					name: 'FOIL-EDITION',
					kind: 'extra' as const,
					edition: {
						of: ['base', 'subset'],
						changes: [{ card: number, title }],
						without: first ? [draft.sections[1]?.cards[0]?.number ?? ''] : []
					},
					statedTotal: 12,
					cards: [{ number: 'X1', title, place: 2, otherNumbers: ['X9'], panelOf: [number] }]
				}
			],
			parallels: (draft.parallels ?? []).map((parallel, p) => ({
				...parallel,
				runs: [
					...parallel.runs,
					p === 0
						? { sections: ['base'], cards: [number], notIssued: true as const }
						: { sections: ['base'], cards: [number], printRun: run }
				]
			})),
			variants: [
				{ kind, name: title, cards: [number], confidence: 'likely' as const, source: title }
			]
		};
	});
