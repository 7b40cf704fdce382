import { and, eq, inArray, isNotNull } from 'drizzle-orm';
import { parseQuality, type LabelledQuality } from '../../../core/copies/quality-label.ts';
import { bad, good, type Outcome, type Problem } from '../../../core/problem.ts';
import type { SubmissionCardId, SubmissionId } from '../../../core/row-id.ts';
import { gradingCosts } from '../../../core/worth/grading/submission.ts';
import type { Collection, Transaction } from '../../database/open.ts';
import type { Recorder } from '../../database/record.ts';
import { copies, outings, submissionCards, submissions } from '../../database/tables/index.ts';
import { measureAnew } from '../../places/measure-anew.ts';
import { makeChange, refused } from '../../journal/change.ts';
import { nameVersions } from '../../releases/name-versions.ts';
import { unknownHouse } from '../prices/unknown-house.ts';

/** What came back, as it is typed. */
export interface TypedResult {
	readonly id: SubmissionCardId;
	/** "8.5", "8 (off centre)", "authentic", "no grade". */
	readonly result: string;
	readonly certificate: string;
}

type CardRow = typeof submissionCards.$inferSelect;

/**
 * Takes cards of a submission back: they get grade and certificate, are out no longer, and what they cost grows by fee and
 * postage where that is asked for and known. Lines without a result stay out. With any problem none is back.
 */
export function takeBack(
	collection: Collection,
	id: SubmissionId,
	typed: readonly TypedResult[],
	addsCost: boolean
): Promise<Outcome<{ readonly cards: number }>> {
	return makeChange(collection, async (record, tx) => {
		const [submission] = await tx.select().from(submissions).where(eq(submissions.id, id));
		const all = await tx.select().from(submissionCards).where(eq(submissionCards.submissionId, id));
		if (!submission) return refused([{ message: 'it is gone', remedy: 'Reload the page.' }]);
		const { house, currency } = submission;
		const names = await nameVersions(
			tx,
			all.map(({ version }) => version)
		);
		const problems: Problem[] = [];
		const results = typed
			.filter(({ result }) => result.trim() !== '')
			.flatMap(({ id: cardId, result, certificate }) => {
				const at = all.findIndex((card) => card.id === cardId);
				const card = all[at];
				const name = card ? (names.get(card.version)?.card ?? card.version) : 'a card';
				const told = (some: readonly Problem[]) =>
					problems.push(...some.map((each) => ({ ...each, message: `${name}: ${each.message}` })));
				if (!card || card.backOn !== null) {
					told([{ message: 'it is back already', remedy: 'Reload the page.' }]);
					return [];
				}
				const read = parseResult(result);
				if (!read.ok) told(read.problems);
				return [{ card, at, name, quality: read.ok ? read.value : null, ...asSaid(certificate) }];
			});
		if (typed.every(({ result }) => result.trim() === '')) {
			const remedy = 'Write the grade beside each card that is back, or "no grade".';
			problems.push({ message: 'nothing is written', remedy });
		}
		for (const { name, quality } of results) {
			if (quality?.grade === undefined) continue;
			const some = await unknownHouse(tx, house, [quality.grade]);
			const ofGrade = some.filter(({ field }) => field !== 'house');
			problems.push(...ofGrade.map((each) => ({ ...each, message: `${name}: ${each.message}` })));
		}
		problems.push(...(await knownCertificates(tx, house, results)));
		if (problems.length > 0) return refused(problems);
		const costs = gradingCosts(submission, all.length);
		const today = collection.now().slice(0, 10);
		for (const { card, at, quality, certificate } of results) {
			const feeMinor = addsCost ? (costs[at] ?? 0) : 0;
			await comeBack(record, tx, card, quality ?? {}, certificate, {
				house,
				currency,
				feeMinor,
				today
			});
		}
		const count = results.length;
		const label = `${count === 1 ? 'A card is' : `${count} cards are`} back from ${house}`;
		return { value: good({ cards: count }), label };
	});
}

const asSaid = (text: string) => ({ certificate: text.trim() === '' ? null : text.trim() });

/** A grade, "authentic", or that there is none. */
function parseResult(text: string): Outcome<LabelledQuality> {
	if (/^no(?:ne| grade)?$/i.test(text.trim())) return good({});
	const read = parseQuality(text);
	if (read.ok && read.value.grade === undefined && !read.value.isAuthentic) {
		const remedy = 'Write a grade, "authentic" or "no grade".';
		return bad([{ message: `"${text.trim().slice(0, 40)}" is nothing that a house says`, remedy }]);
	}
	return read;
}

/** Certificates that another copy of the house bears, or that are written twice. */
async function knownCertificates(
	tx: Transaction,
	house: string,
	results: readonly {
		readonly card: CardRow;
		readonly name: string;
		readonly certificate: string | null;
	}[]
): Promise<readonly Problem[]> {
	const said = results.flatMap(({ certificate }) => certificate ?? []);
	if (said.length === 0) return [];
	const rows = await tx
		.select({ id: copies.id, certificate: copies.certificate })
		.from(copies)
		.where(
			and(
				eq(copies.house, house),
				isNotNull(copies.certificate),
				inArray(copies.certificate, [...new Set(said)])
			)
		);
	return results.flatMap(({ card, name, certificate }, i): readonly Problem[] => {
		if (certificate === null) return [];
		const isTwice = results.findIndex((each) => each.certificate === certificate) < i;
		const isElsewhere = rows.some(
			(row) => row.certificate === certificate && row.id !== card.copyId
		);
		return isTwice || isElsewhere
			? [
					{
						field: 'certificate',
						message: `${name}: another card bears the certificate ${certificate}`,
						remedy: 'A house gives each number once: read the label again.'
					}
				]
			: [];
	});
}

/** A card comes back: its result is kept, its copy bears it, and it is out no longer. */
async function comeBack(
	record: Recorder,
	tx: Transaction,
	card: CardRow,
	quality: LabelledQuality,
	certificate: string | null,
	{
		house,
		currency,
		feeMinor,
		today
	}: { house: string; currency: string; feeMinor: number; today: string }
): Promise<void> {
	const { grade = null, isAuthentic = false, qualifier = null } = quality;
	await record.update(submissionCards, card.id, {
		...{ backOn: today, grade, isAuthentic, qualifier, certificate }
	});
	if (card.outingId !== null) await record.update(outings, card.outingId, { backOn: today });
	if (card.copyId === null) return;
	const [copy] = await tx.select().from(copies).where(eq(copies.id, card.copyId));
	if (!copy) return;
	const isGraded = grade !== null || isAuthentic;
	const paid =
		feeMinor > 0 && copy.costMinor !== null && copy.currency === currency
			? { costMinor: copy.costMinor + feeMinor }
			: {};
	const fields = {
		...(isGraded ? { grade, isAuthentic, qualifier, house, certificate } : {}),
		...paid
	};
	if (Object.keys(fields).length === 0) return;
	await record.update(copies, copy.id, fields);
	// In its house's holder it takes more room.
	await measureAnew(record, tx, [copy.id]);
}
