import { GRADES } from '../../copies/condition.ts';
import { bad, good, type Outcome, type Problem } from '../../problem.ts';

/**
 * Grades as they are typed: "10, 9, 8.5"; a range counts in whole grades, "10-1". Empty: every half grade.
 */
export function parseHouseGrades(text: string): Outcome<readonly number[]> {
	if (text.trim() === '') return good(GRADES);
	const problems: Problem[] = [];
	const found = new Set<number>();
	for (const word of text.split(/[;\s]+|,(?!5\b)/).filter(Boolean)) {
		const [, from, to] = /^(\d{1,2})\s*[-–]\s*(\d{1,2})$/.exec(word) ?? [];
		const said =
			from === undefined
				? [Number(word.replace(',', '.'))]
				: GRADES.filter(
						(grade) =>
							Number.isInteger(grade) &&
							grade <= Math.max(Number(from), Number(to)) &&
							grade >= Math.min(Number(from), Number(to))
					);
		if (said.length === 0 || said.some((grade) => !GRADES.includes(grade))) {
			const message = `"${word.slice(0, 20)}" is no grade`;
			problems.push({ field: 'grades', message, remedy: 'Grades go from 1 to 10 in halves.' });
		}
		for (const grade of said) found.add(grade);
	}
	return problems.length > 0 ? bad(problems) : good([...found].sort((a, b) => b - a));
}

/**
 * The text that `parseHouseGrades` reads.
 *
 * @example formatHouseGrades([10, 9.5, 9]) // '10, 9.5, 9'
 */
export function formatHouseGrades(grades: readonly number[]): string {
	return grades.join(', ');
}
