import { and, eq, inArray, ne, sql } from 'drizzle-orm';
import { formatBandLines, formatChannelLines } from '../../core/selling/lots/band-line.ts';
import { parseVersionKey } from '../../core/checklist/versions/version-key.ts';
import type { CopyId } from '../../core/row-id.ts';
import type { SellingDemo } from '../../schemas/selling-demo.ts';
import { keepWorksheet } from '../bench/keep-worksheet.ts';
import { sampleScan } from '../bench/sample-scan.ts';
import { changeMany } from '../copies/change-many.ts';
import type { Collection } from '../database/open.ts';
import { copies, releases, submissionCards } from '../database/tables/index.ts';
import { addPhoto } from '../media/photos.ts';
import { USUAL_CURRENCY as currency } from '../places/holder-tiers.ts';
import { keepBuild } from '../selling/building/keep-build.ts';
import { makeListings } from '../selling/listings/make-listings.ts';
import { stepListing } from '../selling/listings/step-listing.ts';
import { SELLING_RULES, setSellingRules } from '../selling/selling-rules.ts';
import { sendSubmission } from '../worth/grading/send-submission.ts';
import { takeBack } from '../worth/grading/take-back.ts';
import type { DemoStep } from './demo-step.ts';
import { must } from './must.ts';

/** What the demo's collector judged at the bench, sent to be graded, and sold. */
export function sellingSteps(demo: SellingDemo): readonly DemoStep[] {
	const { unpriced, spares, listings, builds, worksheets, submissions } = demo;
	return [
		{ when: unpriced.at, take: (then) => setUnpriced(then, unpriced.amount) },
		...spares.map(({ at, release, condition }): DemoStep => ({
			when: at,
			take: async (then) => {
				const rows = await then.db
					.select({ id: copies.id })
					.from(copies)
					.innerJoin(releases, eq(releases.id, copies.releaseId))
					.where(and(eq(releases.key, release), eq(copies.condition, condition)));
				const ids = rows.map(({ id }) => id);
				must(await changeMany(then, ids, { fields: { status: 'spare' }, mark: [], unmark: [] }));
			}
		})),
		...listings.flatMap(listingSteps),
		...builds.map(({ at, ...plan }): DemoStep => ({
			when: at,
			take: async (then) => must(await keepBuild(then, plan))
		})),
		...worksheets.map(({ at, version, front, scan, estimate, ...levels }): DemoStep => ({
			when: at,
			take: async (then) => {
				const copy = await copyOf(then, version, 'raw');
				const [leftRight = '', topBottom = '', offBy = ''] = front.split(' ');
				const empty = { leftRight: '', topBottom: '', offBy: '' };
				must(
					await keepWorksheet(then, copy, {
						...{ front: { leftRight, topBottom, offBy }, back: empty, levels, estimate },
						...{ widthMm: '', heightMm: '', thicknessPt: '', note: '', takesWord: false }
					})
				);
				if (scan !== undefined) await addScan(then, copy, scan);
			}
		})),
		...submissions.flatMap(submissionSteps)
	];
}

async function setUnpriced(then: Collection, amount: string): Promise<void> {
	const { usual } = SELLING_RULES;
	must(
		await setSellingRules(then, {
			...usual,
			bands: formatBandLines(usual.bands, currency),
			channels: formatChannelLines(usual.channels, currency),
			unpriced: amount
		})
	);
}

function listingSteps({
	at,
	versions,
	steps,
	scan,
	...draft
}: SellingDemo['listings'][number]): readonly DemoStep[] {
	const made: { id?: Awaited<ReturnType<typeof make>> } = {};
	const make = async (then: Collection) => {
		const picks = await Promise.all(
			versions.map(async (version) => ({ copyId: await copyOf(then, version, 'raw'), quantity: 1 }))
		);
		const {
			ids: [id]
		} = must(await makeListings(then, [{ ...draft, picks, title: '' }], currency));
		if (id === undefined) throw new RangeError('listingSteps: no listing');
		return id;
	};
	return [
		{
			when: at,
			take: async (then) => {
				made.id = await make(then);
				const [first = ''] = versions;
				if (scan !== undefined) await addScan(then, await copyOf(then, first, 'to sell'), scan);
			}
		},
		...steps.map(({ at: when, step, ...said }): DemoStep => ({
			when,
			take: async (then) => {
				if (made.id === undefined) throw new RangeError(`listingSteps: ${when} comes before ${at}`);
				const nothing = { buyer: '', price: '', charged: '', postage: '', supplies: '', fee: '' };
				must(await stepListing(then, made.id, step, { ...nothing, ...said }));
			}
		}))
	];
}

function submissionSteps({
	at,
	backAt,
	cards,
	...head
}: SellingDemo['submissions'][number]): readonly DemoStep[] {
	const made: { id?: Awaited<ReturnType<typeof send>> } = {};
	const send = async (then: Collection) => {
		const picked = [];
		for (const { version, purpose, insured, estimate } of cards) {
			const copyId = await copyOf(then, version, purpose === 'grade' ? 'raw' : 'graded');
			picked.push({ copyId, purpose, insured, estimate });
		}
		return must(await sendSubmission(then, { ...head, currency, cards: picked })).id;
	};
	return [
		{
			when: at,
			take: async (then) => {
				made.id = await send(then);
			}
		},
		...(backAt === undefined
			? []
			: [
					{
						when: backAt,
						take: async (then: Collection) => {
							const id = made.id;
							if (id === undefined) throw new RangeError(`submissionSteps: ${backAt} before ${at}`);
							const rows = await then.db
								.select({ id: submissionCards.id })
								.from(submissionCards)
								.where(eq(submissionCards.submissionId, id))
								.orderBy(submissionCards.id);
							const typed = rows.map((row, i) => ({
								id: row.id,
								result: cards[i]?.result ?? '',
								certificate: cards[i]?.certificate ?? ''
							}));
							must(await takeBack(then, id, typed, true));
						}
					}
				])
	];
}

/** The first copy of a version: in no listing and without a grade, in one, or with a grade. */
async function copyOf(
	then: Collection,
	version: string,
	which: 'raw' | 'to sell' | 'graded'
): Promise<CopyId> {
	const name = parseVersionKey(version);
	if (!name) throw new RangeError(`copyOf: "${version}" is no version key`);
	const state = {
		raw: and(inArray(copies.status, ['kept', 'spare']), sql`${copies.grade} is null`),
		'to sell': eq(copies.status, 'to sell'),
		graded: and(ne(copies.status, 'incoming'), sql`${copies.grade} is not null`)
	}[which];
	const [copy] = await then.db
		.select({ id: copies.id })
		.from(copies)
		.innerJoin(releases, eq(releases.id, copies.releaseId))
		.where(
			and(
				eq(releases.key, name.release),
				eq(copies.cardKey, name.card),
				name.parallel === null
					? sql`${copies.parallelKey} is null`
					: eq(copies.parallelKey, name.parallel),
				state
			)
		)
		.orderBy(copies.id)
		.limit(1);
	if (!copy) throw new RangeError(`copyOf: no copy of ${version} is there`);
	return copy.id;
}

/** A drawn scan becomes a photo of a copy. */
async function addScan(then: Collection, copy: CopyId, key: string): Promise<void> {
	const picture = await sampleScan(key);
	if (!picture) throw new RangeError(`addScan: there is no sample "${key}"`);
	must(await addPhoto(then, copy, picture));
}
