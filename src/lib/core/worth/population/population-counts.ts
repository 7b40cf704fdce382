import { formatQuality, parseQuality } from '../../copies/quality-label.ts';
import { bad, good, type Outcome, type Problem } from '../../problem.ts';
import type { PopulationCount } from './population.ts';

/**
 * Counts by grade as people write them. Grammar: `grade ":" count`, parted by commas, semicolons or new lines. Law: parse of
 * format gives the same counts.
 *
 * "10: 3, 9.5: 12, authentic: 2" is such a text.
 */
export function parseCounts(text: string): Outcome<readonly PopulationCount[]> {
	const problems: Problem[] = [];
	const counts: PopulationCount[] = [];
	for (const part of text.split(/[;\n]|(?<=[:=]\s*\d+\s*),/)) {
		if (part.trim() === '') continue;
		const [, label = '', count = ''] = /^\s*([^:=]+?)\s*[:=]\s*(\d{1,8})\s*$/.exec(part) ?? [];
		const quality = parseQuality(label);
		const said = `"${part.trim().slice(0, 40)}"`;
		if (count === '') {
			const message = `${said} is no count`;
			problems.push({ field: 'counts', message, remedy: 'Write the grade and how many: 9.5: 12.' });
		} else if (!quality.ok || (quality.value.grade === undefined && !quality.value.isAuthentic)) {
			const message = `${said} is of no grade`;
			problems.push({ field: 'counts', message, remedy: 'Grades go from 1 to 10 in halves.' });
		} else if (counts.some((known) => formatQuality(known) === formatQuality(quality.value))) {
			const message = `${said} says its grade a second time`;
			problems.push({ field: 'counts', message, remedy: 'Add them up.' });
		} else counts.push({ ...quality.value, count: Number(count) });
	}
	if (counts.length === 0 && problems.length === 0) {
		const message = 'nothing is counted';
		problems.push({ field: 'counts', message, remedy: 'Write the grade and how many: 9.5: 12.' });
	}
	return problems.length > 0 ? bad(problems) : good(counts);
}

/** The text that `parseCounts` reads. */
export function formatCounts(counts: readonly PopulationCount[]): string {
	return counts.map((count) => `${formatQuality(count)}: ${count.count}`).join(', ');
}
