import { eq, inArray } from 'drizzle-orm';
import { formatVersionKey } from '../../../core/checklist/versions/version-key.ts';
import { parseAmount } from '../../../core/money/amount.ts';
import { parseQuality } from '../../../core/copies/quality-label.ts';
import { good, type Outcome, type Problem } from '../../../core/problem.ts';
import type { CopyId, SubmissionId } from '../../../core/row-id.ts';
import {
	checkSubmission,
	type SubmissionDraft,
	type SubmissionPurpose
} from '../../../core/worth/grading/submission.ts';
import { outOf } from '../../copies/outings.ts';
import { splitOff } from '../../copies/split-off.ts';
import type { Collection, Transaction } from '../../database/open.ts';
import { insertOne } from '../../database/record.ts';
import {
	copies,
	outings,
	releases,
	submissionCards,
	submissions
} from '../../database/tables/index.ts';
import { makeChange, refused } from '../../journal/change.ts';
import { nameVersions } from '../../releases/name-versions.ts';
import { unknownHouse } from '../prices/unknown-house.ts';

/** A submission as it is typed: amounts as people write them. */
export interface TypedSubmission {
	readonly house: string;
	readonly tier: string;
	/** Of each card, and postage and insurance of all both ways; empty: none. */
	readonly fee: string;
	readonly postage: string;
	/** ISO 4217: of amounts that bear no currency. */
	readonly currency: string;
	/** ISO 8601 dates; null: today, and nobody has said. */
	readonly sentOn: string | null;
	readonly dueOn: string | null;
	readonly cards: readonly {
		readonly copyId: CopyId;
		readonly purpose: SubmissionPurpose;
		readonly insured: string;
		/** The grade that its owner thinks it is; empty: none is said. */
		readonly estimate: string;
	}[];
}

/** Sends copies to a house, one card of each pile: they are out, and keep their place. With any problem none goes. */
export function sendSubmission(
	collection: Collection,
	typed: TypedSubmission
): Promise<Outcome<{ readonly id: SubmissionId }>> {
	return makeChange(collection, async (record, tx) => {
		const problems: Problem[] = [];
		const amountOf = (text: string, field: string): number | null => {
			if (text.trim() === '') return null;
			const read = parseAmount(text, typed.currency);
			if (read.ok) return read.value.minor;
			problems.push(...read.problems.map((problem) => ({ ...problem, field })));
			return null;
		};
		const gradeOf = (text: string, name: string): number | null => {
			if (text.trim() === '') return null;
			const read = parseQuality(text);
			if (read.ok && read.value.grade !== undefined) return read.value.grade;
			const remedy = 'Write a grade from 1 to 10 in halves, or nothing.';
			const message = `${name}: "${text.trim().slice(0, 20)}" is no grade`;
			problems.push({ field: 'estimate', message, remedy });
			return null;
		};
		const ids = typed.cards.map(({ copyId }) => copyId);
		const rows = await readSent(tx, ids);
		const names = await nameVersions(
			tx,
			[...rows.values()].map(({ version }) => version)
		);
		const draft: SubmissionDraft = {
			...{ house: typed.house, tier: typed.tier.trim(), dueOn: typed.dueOn },
			feeMinor: amountOf(typed.fee, 'fee') ?? 0,
			postageMinor: amountOf(typed.postage, 'postage') ?? 0,
			sentOn: typed.sentOn ?? collection.now().slice(0, 10),
			cards: typed.cards.map(({ copyId, purpose, insured, estimate }) => {
				const row = rows.get(copyId);
				const name = row ? (names.get(row.version)?.card ?? row.version) : 'a copy';
				const isGraded = row ? row.grade !== null || row.isAuthentic : true;
				return {
					name,
					purpose,
					insuredMinor: amountOf(insured, name),
					estimate: gradeOf(estimate, name),
					isGraded
				};
			})
		};
		problems.push(...checkSubmission(draft));
		problems.push(...(await unknownHouse(tx, draft.house, [])));
		const out = await outOf(tx, ids);
		const sent = new Set<CopyId>();
		draft.cards.forEach(({ name }, i) => {
			const id = ids[i];
			const row = id === undefined ? undefined : rows.get(id);
			if (id === undefined || !row) {
				problems.push({ message: 'a copy is gone', remedy: 'Look at the list as it is now.' });
				return;
			}
			if (sent.has(id)) {
				problems.push({ message: `${name} is named twice`, remedy: 'Send one card of a pile.' });
			}
			sent.add(id);
			if (row.status === 'incoming') {
				problems.push({ message: `${name} is not here yet`, remedy: 'Check it in first.' });
			} else if (row.quantity - (out.get(id) ?? 0) < 1) {
				problems.push({ message: `${name} is out already`, remedy: 'Say first that it is back.' });
			}
		});
		if (problems.length > 0) return refused(problems);
		const house = draft.house.trim();
		const { tier, feeMinor, postageMinor, sentOn, dueOn } = draft;
		const { currency } = typed;
		const submission = await insertOne(record, submissions, {
			...{ house, tier, feeMinor, postageMinor, currency, sentOn, dueOn }
		});
		for (const [i, { purpose, insuredMinor, estimate }] of draft.cards.entries()) {
			const row = rows.get(ids[i] as CopyId);
			if (!row) throw new RangeError('sendSubmission: a copy went while it was sent');
			const { version, ...copy } = row;
			const copyId = copy.quantity > 1 ? await splitOff(record, tx, copy, 1) : copy.id;
			const outing = await insertOne(record, outings, {
				...{ copyId, quantity: 1, kind: 'grading', to: house, outOn: sentOn, dueOn }
			});
			await record.insert(submissionCards, [
				{
					...{ submissionId: submission.id, copyId, outingId: outing.id },
					...{ version, purpose, insuredMinor, estimate }
				}
			]);
		}
		const count = draft.cards.length;
		return {
			value: good({ id: submission.id }),
			label: `${count === 1 ? 'A card goes' : `${count} cards go`} to ${house}`
		};
	});
}

/** Copies that are sent, with the keys of their versions. */
async function readSent(tx: Transaction, ids: readonly CopyId[]) {
	const rows = await tx
		.select({ copy: copies, release: releases.key })
		.from(copies)
		.innerJoin(releases, eq(releases.id, copies.releaseId))
		.where(inArray(copies.id, [...ids]));
	return new Map(
		rows.map(({ copy, release }) => {
			const { cardKey: card, parallelKey: parallel, variantKey: variant } = copy;
			return [
				copy.id,
				{ ...copy, version: formatVersionKey({ release, card, parallel, variant }) }
			] as const;
		})
	);
}
