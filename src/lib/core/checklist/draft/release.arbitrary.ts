import fc from 'fast-check';
import type { ReleaseDraft, SectionDraft } from './draft.ts';
import { ORIGIN_KINDS } from '../card-details.ts';
import { CONFIDENCES } from '../confidence.ts';
import { DIFFICULTY_LEVELS } from '../difficulty.ts';
import { slug } from '../slug.ts';
import { LOOK_NAMES, RELIABILITY_NAMES } from '../tell.ts';
import { SWATCHES } from '../swatch.ts';
import { VARIANT_KIND_NAMES } from '../variant.ts';

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

const evidence = fc
	.record({ lookedAt: fc.integer({ min: 1, max: 400 }), found: fc.integer({ min: 0, max: 400 }) })
	.map(({ lookedAt, found }) => ({ lookedAt, found: Math.min(found, lookedAt) }));
const difficulty = fc.record(
	{ level: fc.constantFrom(...DIFFICULTY_LEVELS), source: textLine },
	{ requiredKeys: ['level'] }
);
const format = fc.record(
	{ widthMm: fc.constantFrom(36, 70.5), stockPt: fc.constantFrom(12, 55) },
	{ requiredKeys: [] }
);

/** What may be known of a card beside its line. */
const cardDetails = fc
	.record(
		{
			note: textLine,
			origin: fc.record(
				{
					kind: fc.constantFrom(...ORIGIN_KINDS),
					name: textLine,
					date: fc.constantFrom('1994', '1994-05', '1994-05-17')
				},
				{ requiredKeys: ['kind'] }
			),
			fixedProducts: fc.array(textLine, { minLength: 1, maxLength: 3 }),
			onlyIn: fc.constant(['hobby']),
			tags: fc.dictionary(textLine, fc.array(textLine, { minLength: 1, maxLength: 2 }), {
				minKeys: 1,
				maxKeys: 2
			}),
			sortAs: textLine,
			format,
			odds: fc.constant({ hobby: '1:96' }),
			difficulty,
			sameAs: fc.constant(['other/base-1']),
			samePictureAs: fc.constant(['other/base-2', 'other/base-3']),
			confidence: fc.constantFrom(...CONFIDENCES),
			source: textLine,
			evidence
		},
		{ requiredKeys: [] }
	)
	.map(({ evidence: counts, ...details }) => ({ ...details, ...counts }));

/** Features by which something is known. */
const tells = fc.array(
	fc.record(
		{
			feature: textLine,
			value: textLine,
			otherwise: textLine,
			where: fc.constantFrom(...LOOK_NAMES),
			reliability: fc.constantFrom(...RELIABILITY_NAMES),
			groups: fc.constant(['North']),
			places: fc.constant([1, 3]),
			tags: fc.dictionary(textLine, fc.uniqueArray(textLine, { minLength: 1, maxLength: 2 }), {
				minKeys: 1,
				maxKeys: 2
			})
		},
		{ requiredKeys: ['feature', 'value'] }
	),
	{ minLength: 1, maxLength: 3 }
);

const sectionDetails = fc.record(
	{
		howToTell: textLine,
		difficulty,
		onlyIn: fc.constant(['hobby']),
		takesPlaceOf: fc.constant(null),
		swatch: fc.constantFrom(...SWATCHES),
		noBaseFinish: fc.constant(true as const),
		baseLook: textLine,
		lettering: fc.array(fc.option(textLine), { minLength: 1, maxLength: 4 }),
		tells,
		confidence: fc.constantFrom(...CONFIDENCES),
		source: textLine
	},
	{ requiredKeys: [] }
);

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

/** The same with all that may be recorded beside the checklist's lines. */
export const recordedReleaseDraft: fc.Arbitrary<ReleaseDraft> = fc
	.record({
		cards: fc.array(cardDetails, { minLength: 3, maxLength: 3 }),
		sections: fc.array(sectionDetails, { minLength: 3, maxLength: 3 }),
		evidence,
		finishTells: tells,
		boxed: fc.boolean(),
		title: textLine
	})
	.chain(({ cards, sections, evidence: counts, finishTells, boxed, title }) =>
		oddReleaseDraft.map((draft): ReleaseDraft => {
			const parallel = draft.parallels?.[0];
			const hobby = boxed
				? {
						...{ packsPerBox: 36, boxesPerCase: 12 },
						guarantees: [
							{ count: 2, sections: [draft.sections[0]?.key ?? 'base'] },
							...(parallel?.key ? [{ count: 1, parallels: [parallel.key] }] : [])
						]
					}
				: {};
			return {
				...draft,
				packTypes: [
					{ key: 'hobby', name: 'Hobby', form: 'wrapper', cardsPerPack: 10, ...hobby },
					{ key: 'tin', name: 'Tin', packs: [{ packType: 'hobby', count: 2 }] }
				],
				collectibles: [{ kind: 'poster', name: title, note: title }],
				hunts: [
					{
						name: title,
						section: 'base',
						lastLooked: '1996-08-03',
						lookedWhere: title,
						source: title
					}
				],
				sections: draft.sections.map((section, s) => ({
					...section,
					...sections[s % sections.length],
					...(section.edition ? { edition: { ...section.edition, from: 'Z89' } } : {}),
					cards: section.cards.map((card, c) => ({ ...card, ...cards[c] }))
				})),
				parallels: (draft.parallels ?? []).map((known) => ({
					...known,
					look: title,
					tells: finishTells,
					palette: 'entered-once'
				})),
				variants: (draft.variants ?? []).map((variant) => ({
					...variant,
					...counts,
					regularName: title,
					believed: { least: 6, most: 8 },
					...(parallel ? { finishes: [{ parallel: slug(parallel.name), printRun: 25 }] } : {})
				}))
			};
		})
	);
