import { USUAL_BOX_RULES } from '../../core/boxes/choose-box.ts';
import { BOX_SCHOOLS, type BoxSchool } from '../../core/boxes/school.ts';
import type { StorageOptions } from './plan-storage.ts';

/** How a plan is asked for: percentages as whole numbers. */
export interface StorageChoice {
	readonly school: BoxSchool;
	readonly fill: number;
	readonly have: number;
	readonly growth: number;
}

/** The choice out of an address or a form; what is missing or no percentage is the usual. */
export function readStorageChoice(read: (name: string) => string | null): StorageChoice {
	const percent = (name: string, usual: number) => {
		const text = read(name);
		return text !== null && /^\d{1,3}$/.test(text) && Number(text) <= 100 ? Number(text) : usual;
	};
	return {
		school: BOX_SCHOOLS.find((one) => one === read('school')) ?? 'year',
		fill: percent('fill', Math.round(100 * USUAL_BOX_RULES.leastFill)),
		have: percent('have', Math.round(100 * USUAL_BOX_RULES.leastHave)),
		growth: percent('growth', 50)
	};
}

export function storageOptions({ school, fill, have, growth }: StorageChoice): StorageOptions {
	return {
		school,
		growth: growth / 100,
		rules: { ...USUAL_BOX_RULES, leastFill: fill / 100, leastHave: have / 100 }
	};
}
