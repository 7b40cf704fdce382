import { bad, good, type Outcome, type Problem } from '../../problem.ts';
import { parseAmount } from '../../money/amount.ts';
import { formatMinor } from '../../money/minor-units.ts';
import { checkPostageRule, type PostageRule, type PostageTier } from './postage-rule.ts';

/**
 * Reads what a seller asks for sending, as people write it. Grammar:
 *
 *     rule  = ( each / steps ) [ "," "free from" amount ]
 *     each  = amount [ "+" amount ]                    ; for the first card, and for each further one
 *     steps = step *( ";" step )
 *     step  = ( from ( "–" / "-" ) to / from "+" ) [ "g" ] ":" amount   ; cards, or grams
 *
 * All problems at once: an amount that is none, steps that leave a hole or overlap. Law: parse(format(x)) = x.
 *
 * @example parsePostage('5 + 0.10', 'EUR') // { ok: true, value: { sort: 'each', firstMinor: 500, furtherMinor: 10 }, notes: [] }
 */
export function parsePostage(text: string, currency: string): Outcome<PostageRule> {
	const [, body = '', threshold] = /^(.*?)(?:,?\s*free\s+from\s+(.*))?$/is.exec(text.trim()) ?? [];
	const problems: Problem[] = [];
	const amount = (said: string): number => {
		const read = parseAmount(said, currency);
		if (read.ok) return read.value.minor;
		problems.push(...read.problems);
		return 0;
	};
	const free = threshold === undefined ? {} : { freeFromMinor: amount(threshold) };
	const rule: PostageRule = body.includes(':')
		? { ...stepsOf(body), ...free }
		: { ...eachOf(body), ...free };
	if (problems.length === 0) problems.push(...checkPostageRule(rule));
	return problems.length > 0 ? bad(problems) : good(rule);

	function eachOf(said: string) {
		const [first = '', further] = said.split('+');
		const firstMinor = amount(first);
		return {
			sort: 'each' as const,
			firstMinor,
			furtherMinor: further === undefined ? 0 : amount(further)
		};
	}

	function stepsOf(said: string) {
		let by = null as 'cards' | 'grams' | null;
		const tiers = said.split(';').flatMap((step): readonly PostageTier[] => {
			if (step.trim() === '') return [];
			const match = /^\s*(\d{1,6})\s*(?:[–-]\s*(\d{1,6})|(\+))\s*(g)?\s*:(.*)$/i.exec(step);
			const [, from, to, open, grams, cost = ''] = match ?? [];
			if (from === undefined || (to === undefined && open === undefined)) {
				const message = `"${step.trim()}" is no step`;
				problems.push({ message, remedy: 'Write: 1–20: 4.50; 21+: 6.80.' });
				return [];
			}
			const unit = grams ? 'grams' : 'cards';
			if (by !== null && by !== unit) {
				problems.push({ message: 'cards and grams stand in one rule', remedy: 'Use one of them.' });
			}
			by = unit;
			return [
				{ from: Number(from), to: to === undefined ? null : Number(to), minor: amount(cost) }
			];
		});
		return { sort: 'tiers' as const, by: by ?? ('cards' as const), tiers };
	}
}

/**
 * Writes a rule so that `parsePostage` reads it back.
 *
 * @example formatPostage({ sort: 'tiers', by: 'grams', tiers: [{ from: 0, to: 20, minor: 110 }, { from: 20, to: null, minor: 160 }], freeFromMinor: 4000 }, 'EUR') // '0–20 g: 1.10; 20+ g: 1.60, free from 40.00'
 */
export function formatPostage(rule: PostageRule, currency: string): string {
	const free =
		rule.freeFromMinor === undefined
			? ''
			: `, free from ${formatMinor(rule.freeFromMinor, currency)}`;
	if (rule.sort === 'each') {
		const further = rule.furtherMinor === 0 ? '' : ` + ${formatMinor(rule.furtherMinor, currency)}`;
		return `${formatMinor(rule.firstMinor, currency)}${further}${free}`;
	}
	const unit = rule.by === 'grams' ? ' g' : '';
	const steps = rule.tiers.map(
		({ from, to, minor }) =>
			`${from}${to === null ? '+' : `–${to}`}${unit}: ${formatMinor(minor, currency)}`
	);
	return `${steps.join('; ')}${free}`;
}
