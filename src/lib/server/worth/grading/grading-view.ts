import { desc, inArray, isNull } from 'drizzle-orm';
import { group } from 'd3-array';
import { outingState } from '../../../core/copies/outing.ts';
import { formatQuality } from '../../../core/copies/quality-label.ts';
import { parseVersionKey } from '../../../core/checklist/versions/version-key.ts';
import type { CopyId } from '../../../core/row-id.ts';
import { gradingCosts } from '../../../core/worth/grading/submission.ts';
import { BUYING_RULES } from '../../buying/buying-rules.ts';
import { copiesToPick } from '../../copies/choose-copies.ts';
import { dayOf, outOf, soonOf } from '../../copies/outings.ts';
import { qualityOfRow } from '../../copies/quality-of-row.ts';
import type { Reader } from '../../database/open.ts';
import { copies, submissionCards, submissions, worksheets } from '../../database/tables/index.ts';
import { placesOfCopies } from '../../places/places-of.ts';
import { readPreference } from '../../preferences/preferences.ts';
import { nameVersions } from '../../releases/name-versions.ts';
import { listHouses } from '../houses.ts';
import { readEye } from './read-eye.ts';

/** Submissions that are back of which all are shown. */
const MOST_BACK = 30;

export interface GradingAsk {
	/** Words that copies are found by, or the copies themselves. */
	readonly words: string;
	readonly copies: readonly CopyId[];
	/** ISO 8601 moment */
	readonly now: string;
}

/** What is at the houses, what came back, how good the own eye is, and what could be sent. */
export async function gradingView(db: Reader, { words, copies: ids, now }: GradingAsk) {
	const { currency } = await readPreference(db, BUYING_RULES);
	const rows = await db
		.select()
		.from(submissions)
		.orderBy(desc(submissions.sentOn), desc(submissions.id));
	const open = await db
		.selectDistinct({ id: submissionCards.submissionId })
		.from(submissionCards)
		.where(isNull(submissionCards.backOn));
	const isOpen = new Set(open.map(({ id }) => id));
	const shown = [
		...rows.filter(({ id }) => isOpen.has(id)),
		...rows.filter(({ id }) => !isOpen.has(id)).slice(0, MOST_BACK)
	];
	const cards = await db
		.select()
		.from(submissionCards)
		.where(
			inArray(
				submissionCards.submissionId,
				shown.map(({ id }) => id)
			)
		)
		.orderBy(submissionCards.id);
	const names = await nameVersions(
		db,
		cards.map(({ version }) => version)
	);
	const places = await placesOfCopies(
		db,
		cards.flatMap(({ copyId, backOn }) => (copyId === null || backOn !== null ? [] : [copyId]))
	);
	const ofSubmission = group(cards, ({ submissionId }) => submissionId);
	const today = dayOf(now);
	return {
		...{ currency, today, words },
		houses: (await listHouses(db)).map(({ name }) => name),
		eye: await readEye(db),
		...(await toSend(db, words, ids)),
		submissions: shown.map((row) => {
			const some = ofSubmission.get(row.id) ?? [];
			const isBack = !isOpen.has(row.id);
			const costs = some.length === 0 ? [] : gradingCosts(row, some.length);
			return {
				...row,
				isBack,
				state: isBack ? null : outingState(row, today, soonOf(today)),
				totalMinor: costs.reduce((all, cost) => all + cost, 0),
				cards: some.map((card) => {
					const { release = '', card: key = '' } = parseVersionKey(card.version) ?? {};
					const quality = qualityOfRow(card);
					return {
						...card,
						...{ releaseKey: release, cardKey: key },
						name: names.get(card.version)?.card ?? card.version,
						release: names.get(card.version)?.release ?? '',
						result:
							card.backOn === null
								? null
								: formatQuality(quality) === 'raw'
									? 'no grade'
									: formatQuality(quality),
						places: (card.copyId === null ? [] : (places.get(card.copyId) ?? [])).map(
							({ name, row: at }) => (at === null ? name : `${name}, row ${at}`)
						)
					};
				})
			};
		})
	};
}
export type GradingView = Awaited<ReturnType<typeof gradingView>>;

/** Copies that could be sent, with what the bench says of them. */
async function toSend(db: Reader, words: string, ids: readonly CopyId[]) {
	const { found, more } = await copiesToPick(db, words, ids);
	const known = found.map(({ id }) => id);
	const out = await outOf(db, known);
	const seen = await db.select().from(worksheets).where(inArray(worksheets.copyId, known));
	const graded = await db
		.select({
			id: copies.id,
			grade: copies.grade,
			isAuthentic: copies.isAuthentic,
			house: copies.house
		})
		.from(copies)
		.where(inArray(copies.id, known));
	return {
		more,
		found: found.map((copy) => {
			const state = graded.find(({ id }) => id === copy.id);
			const sheet = seen.find(({ copyId }) => copyId === copy.id);
			const { grade = null, isAuthentic = false, house = null } = state ?? {};
			return {
				...copy,
				grade: grade === null ? (isAuthentic ? 'authentic' : null) : `${grade}`,
				house,
				estimate: sheet?.estimate ?? null,
				suggested: sheet?.word ?? null,
				isOut: (out.get(copy.id) ?? 0) >= copy.quantity || copy.status === 'incoming'
			};
		})
	};
}
