import { bad, good, type Outcome, type Problem } from '../../../core/problem.ts';
import { parseAmount } from '../../../core/money/amount.ts';
import type { PlanChoice } from './read-problem.ts';

/** What a plan is asked for, out of an address; what cannot be read is a problem, for a plan without it is another one. */
export function readPlanChoice(query: URLSearchParams, currency: string): Outcome<PlanChoice> {
	const problems: Problem[] = [];
	const text = (name: string) => (query.get(name) ?? '').trim();
	const whole = (name: string, what: string, least: number) => {
		if (text(name) === '') return undefined;
		if (/^\d{1,6}$/.test(text(name)) && Number(text(name)) >= least) return Number(text(name));
		const message = `${what}: "${text(name).slice(0, 40)}" is no number`;
		problems.push({ field: name, message, remedy: `A whole number from ${least}, or nothing.` });
		return undefined;
	};
	const money = (name: string, what: string) => {
		if (text(name) === '') return undefined;
		const read = parseAmount(text(name), currency);
		if (read.ok) return read.value.minor;
		problems.push(
			...read.problems.map(({ message, ...rest }) => ({
				...rest,
				field: name,
				message: `${what}: ${message}`
			}))
		);
		return undefined;
	};
	const keys = (name: string) => {
		const all = query.getAll(name);
		if (!all.every((key) => /^\d{1,15}$/.test(key))) {
			problems.push({ field: name, message: 'a seller is no id', remedy: 'Reload the page.' });
		}
		return all;
	};
	const mostSellers = whole('sellers', 'at most sellers', 1);
	const mostDays = whole('days', 'here within days', 0);
	const budgetMinor = money('budget', 'for at most');
	const leaveOutMinor = money('leaveOut', 'leave out above');
	const chosen = { without: keys('without'), with: keys('with') };
	if (problems.length > 0) return bad(problems);
	return good({
		...chosen,
		...(text('bids') === 'out' ? { isWithoutBids: true } : {}),
		...(mostSellers === undefined ? {} : { mostSellers }),
		...(mostDays === undefined ? {} : { mostDays }),
		...(budgetMinor === undefined ? {} : { budgetMinor }),
		...(leaveOutMinor === undefined ? {} : { leaveOutMinor }),
		...(text('goal') === '' ? {} : { goal: text('goal') })
	});
}
