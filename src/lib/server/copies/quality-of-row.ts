import type { LabelledQuality } from '../../core/copies/quality-label.ts';
import type { copies } from '../database/tables/index.ts';

type QualityRow = Partial<
	Pick<typeof copies.$inferSelect, 'condition' | 'grade' | 'isAuthentic' | 'qualifier'>
>;

/** The quality that a row states: of a graded copy what the house said, else its owner's word. */
export function qualityOfRow({
	condition = null,
	grade = null,
	isAuthentic = false,
	qualifier = null
}: QualityRow): LabelledQuality {
	const said = qualifier === null ? {} : { qualifier };
	if (grade !== null) return { grade, ...said };
	if (isAuthentic) return { isAuthentic, ...said };
	return condition === null ? {} : { condition };
}
