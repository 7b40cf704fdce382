import { bad, good, type Outcome } from '../problem.ts';
import { conditionOf } from './condition-word.ts';
import { CONDITIONS, GRADES, qualityRank, type Quality } from './condition.ts';

/** A quality as a house or a seller says it: what a house found besides its number is the qualifier ("off centre"). */
export interface LabelledQuality extends Quality {
	readonly qualifier?: string;
}

const GRADE = /^(?:grade\s+)?(\d{1,2}(?:[.,]\d+)?)$/;
const MOST_QUALIFIER = 40;

/**
 * What stands at the head of a column: a condition word, a grade, "authentic"; "raw" where nothing is said.
 * Law: parse(format(x)) = x.
 *
 * @example [formatQuality({ grade: 8.5 }), formatQuality({ grade: 8, qualifier: 'off centre' }), formatQuality({ condition: 'near mint' }), formatQuality({})] // ['8.5', '8 (off centre)', 'near mint', 'raw']
 */
export function formatQuality({
	condition,
	grade,
	isAuthentic,
	qualifier
}: LabelledQuality): string {
	const label =
		grade === undefined ? (isAuthentic ? 'authentic' : (condition ?? 'raw')) : `${grade}`;
	return qualifier === undefined ? label : `${label} (${qualifier})`;
}

/**
 * Reads such a label. Grammar:
 *
 *     label   = quality [ "(" qualifier ")" ]          ; a qualifier only behind a grade or "authentic"
 *     quality = condition / [ "grade" ] grade / "authentic" / "raw"
 *     grade   = 1 to 10 in halves, "8", "8.5", "8,5"
 *
 * @example [parseQuality('NM'), parseQuality('Grade 8,5')].map((read) => read.ok && read.value) // [{ condition: 'near mint' }, { grade: 8.5 }]
 */
export function parseQuality(text: string): Outcome<LabelledQuality> {
	const trimmed = text.trim().replace(/\s+/g, ' ');
	const [, head = trimmed, behind] = /^([^()]+?) ?\(([^()]*)\)$/.exec(trimmed) ?? [];
	const qualifier = behind?.trim();
	const word = head.toLowerCase();
	const number = GRADE.exec(word)?.[1];
	const condition = conditionOf(word);
	if (qualifier !== undefined && (qualifier === '' || qualifier.length > MOST_QUALIFIER)) {
		return no(text, `A qualifier has 1 to ${MOST_QUALIFIER} letters.`);
	}
	if (number !== undefined) {
		const grade = Number(number.replace(',', '.'));
		if (!GRADES.includes(grade)) return no(text, 'Grades go from 1 to 10 in halves.');
		return good({ grade, ...(qualifier === undefined ? {} : { qualifier }) });
	}
	if (word === 'authentic')
		return good({ isAuthentic: true, ...(qualifier === undefined ? {} : { qualifier }) });
	if (qualifier !== undefined) return no(text, 'Only a graded card has a qualifier.');
	if (condition !== null) return good({ condition });
	return word === 'raw' ? good({}) : no(text, `Write a grade, ${CONDITIONS.join(', ')}.`);
}

/** Orders qualities from the best to the worst: graded before raw, a clean grade before the same with a qualifier. */
export function compareQualities(a: LabelledQuality, b: LabelledQuality): number {
	const isGraded = ({ grade, isAuthentic }: Quality) => grade !== undefined || isAuthentic === true;
	return (
		Number(isGraded(b)) - Number(isGraded(a)) ||
		qualityRank(b) - qualityRank(a) ||
		(a.qualifier ?? '').localeCompare(b.qualifier ?? '')
	);
}

function no(text: string, remedy: string): Outcome<never> {
	return bad([{ message: `"${text.trim().slice(0, 40)}" is no grade or condition`, remedy }]);
}
