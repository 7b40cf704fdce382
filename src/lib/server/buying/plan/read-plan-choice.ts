import { parseAmount } from '../../../core/worth/amount.ts';
import type { PlanChoice } from './read-problem.ts';

/** What a plan is asked for, out of an address; what cannot be read is left out. */
export function readPlanChoice(query: URLSearchParams, currency: string): PlanChoice {
	const whole = (name: string, least: number) => {
		const text = query.get(name) ?? '';
		return /^\d{1,6}$/.test(text) && Number(text) >= least ? Number(text) : undefined;
	};
	const money = (name: string) => {
		const read = parseAmount(query.get(name) ?? '', currency);
		return read.ok ? read.value.minor : undefined;
	};
	const [mostSellers, mostDays] = [whole('sellers', 1), whole('days', 0)];
	const [budgetMinor, leaveOutMinor] = [money('budget'), money('leaveOut')];
	const goal = query.get('goal') ?? '';
	const keys = (name: string) => query.getAll(name).filter((key) => /^\d{1,15}$/.test(key));
	return {
		...{ without: keys('without'), with: keys('with') },
		...(mostSellers === undefined ? {} : { mostSellers }),
		...(mostDays === undefined ? {} : { mostDays }),
		...(budgetMinor === undefined ? {} : { budgetMinor }),
		...(leaveOutMinor === undefined ? {} : { leaveOutMinor }),
		...(/^\d{1,15}$/.test(goal) ? { goal } : {})
	};
}
