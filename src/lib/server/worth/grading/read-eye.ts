import { rollup } from 'd3-array';
import { isNotNull } from 'drizzle-orm';
import { eyeRecord, type EyeRecord } from '../../../core/worth/grading/eye-record.ts';
import type { Reader } from '../../database/open.ts';
import { submissionCards, submissions } from '../../database/tables/index.ts';

/** How the collector's estimates stood against the houses: of all together, and house by house where several are. */
export async function readEye(db: Reader): Promise<{
	readonly all: EyeRecord;
	readonly byHouse: readonly (EyeRecord & { readonly house: string })[];
}> {
	const rows = await db
		.select({
			submissionId: submissionCards.submissionId,
			estimate: submissionCards.estimate,
			grade: submissionCards.grade,
			purpose: submissionCards.purpose
		})
		.from(submissionCards)
		.where(isNotNull(submissionCards.backOn));
	const houseOf = new Map(
		(await db.select({ id: submissions.id, house: submissions.house }).from(submissions)).map(
			({ id, house }) => [id, house]
		)
	);
	const checks = rows.flatMap(({ estimate, grade, purpose, submissionId }) =>
		estimate === null || purpose !== 'grade'
			? []
			: [{ estimate, grade, house: houseOf.get(submissionId) ?? '' }]
	);
	return {
		all: eyeRecord(checks),
		byHouse: [...rollup(checks, eyeRecord, ({ house }) => house)].map(([house, record]) => ({
			house,
			...record
		}))
	};
}
