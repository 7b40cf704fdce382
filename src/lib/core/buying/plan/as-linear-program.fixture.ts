import type { PostageRule } from '../offers/postage-rule.ts';
import { BY_HUB, DIRECT, type BuyingModel } from './model.ts';

/**
 * The same problem as a mixed-integer program in LP format: the model for the raw solver, which judges ours. It says
 * of the problem what `costOfSelection` does, and shares no code with the search.
 */
export function asLinearProgram(model: BuyingModel): string {
	const { need, penalty, sellers, offerCost, offerPieces, offerGrams } = model;
	const { firstArc, arcWant, offersOf, bundles, hub, mostSellers } = model;
	const objective: string[] = [];
	const rows: string[] = [];
	const bounds: string[] = [];
	const integers: string[] = [];
	const binaries: string[] = [];
	const cover = [...need.keys()].map((): string[] => []);
	/** Nothing is bought singly that is not wanted, though bundles may bring more. */
	const single = [...need.keys()].map((): string[] => []);
	const term = (coefficient: number, name: string) =>
		`${coefficient < 0 ? '-' : '+'} ${Math.abs(coefficient)} ${name}`;
	for (const [i, fee] of penalty.entries()) {
		if ((need[i] as number) === 0) continue;
		objective.push(term(fee, `u${i}`));
		cover[i]?.push(`+ u${i}`);
		bounds.push(`0 <= u${i} <= ${need[i]}`);
	}
	/** By seller: cards, grams and money of what is ordered. */
	const cards = sellers.map((): string[] => []);
	const grams = sellers.map((): string[] => []);
	const amount = sellers.map((): string[] => []);
	const modesOf = sellers.map(({ direct, toHub }) => [
		...(direct ? [DIRECT] : []),
		...(toHub && hub ? [BY_HUB] : [])
	]);
	const opens = (s: number) => (modesOf[s] ?? []).map((m) => `y${s}_${m}`);
	for (const [s] of sellers.entries()) {
		for (const o of offersOf[s] as Int32Array) {
			const costs = offerCost[o] as Float64Array;
			const pieces = offerPieces[o] as Int32Array;
			const counts: string[] = [];
			const ways: string[] = [];
			for (let n = 1; n < costs.length; n++) {
				const name = `w${o}_${n}`;
				binaries.push(name);
				ways.push(`+ ${name}`);
				objective.push(term(costs[n] as number, name));
				counts.push(term(n, name));
				cards[s]?.push(term(pieces[n] as number, name));
				grams[s]?.push(term((pieces[n] as number) * (offerGrams[o] as number), name));
				amount[s]?.push(term(costs[n] as number, name));
			}
			const taken: string[] = [];
			for (let a = firstArc[o] as number; a < (firstArc[o + 1] as number); a++) {
				const i = arcWant[a] as number;
				integers.push(`x${a}`);
				bounds.push(`0 <= x${a} <= ${need[i]}`);
				taken.push(`- x${a}`);
				cover[i]?.push(`+ x${a}`);
				single[i]?.push(`+ x${a}`);
			}
			const open = opens(s).map((name) => `- ${name}`);
			rows.push(`${ways.join(' ')} ${open.join(' ')} <= 0`);
			rows.push(`${counts.join(' ')} ${taken.join(' ')} = 0`);
		}
	}
	for (const [b, { seller, minor, pieces, grams: weight, wants }] of bundles.entries()) {
		const name = `b${b}`;
		binaries.push(name);
		objective.push(term(minor, name));
		cards[seller]?.push(term(pieces, name));
		grams[seller]?.push(term(weight, name));
		amount[seller]?.push(term(minor, name));
		for (const { want, count } of wants) cover[want]?.push(term(count, name));
		rows.push(
			`${name} ${opens(seller)
				.map((open) => `- ${open}`)
				.join(' ')} <= 0`
		);
	}
	for (const [i, some] of cover.entries()) {
		if ((need[i] as number) > 0) rows.push(`${some.join(' ')} >= ${need[i]}`);
		if ((single[i] ?? []).length > 0) rows.push(`${(single[i] ?? []).join(' ')} <= ${need[i]}`);
	}
	const MANY = 20_000;
	const hubCards: string[] = [];
	const hubGrams: string[] = [];
	const everyOpen: string[] = [];
	for (const [s, seller] of sellers.entries()) {
		const modes = modesOf[s] ?? [];
		if ((cards[s] ?? []).length === 0 && !seller.isIn) continue;
		for (const m of modes) {
			const open = `y${s}_${m}`;
			binaries.push(open);
			everyOpen.push(`+ ${open}`);
			const [c, g] = [`c${s}_${m}`, `g${s}_${m}`];
			rows.push(`${c} - ${MANY} ${open} <= 0`, `${g} - ${2 * MANY} ${open} <= 0`);
			const rule = m === DIRECT ? seller.direct : seller.toHub;
			if (rule) ship(rule, `${s}_${m}`, open, c, g, amount[s] ?? []);
			if (m === BY_HUB) {
				hubCards.push(`+ ${c}`);
				hubGrams.push(`+ ${g}`);
			}
		}
		const all = (prefix: string) => modes.map((m) => `- ${prefix}${s}_${m}`).join(' ');
		if ((cards[s] ?? []).length > 0) {
			rows.push(
				`${(cards[s] ?? []).join(' ')} ${all('c')} = 0`,
				`${(grams[s] ?? []).join(' ')} ${all('g')} = 0`
			);
			rows.push(`${(cards[s] ?? []).join(' ')} ${all('y')} >= 0`);
		}
		rows.push(`${modes.map((m) => `+ y${s}_${m}`).join(' ')} ${seller.isIn ? '=' : '<='} 1`);
		if (seller.leastOrderMinor > 0) {
			const open = modes.map((m) => `- ${seller.leastOrderMinor} y${s}_${m}`).join(' ');
			rows.push(`${(amount[s] ?? []).join(' ')} ${open} >= 0`);
		}
	}
	if (mostSellers < sellers.length) rows.push(`${everyOpen.join(' ')} <= ${mostSellers}`);
	if (hub && hubCards.length > 0) {
		binaries.push('h');
		rows.push(`hc - ${MANY} h <= 0`, `hg - ${2 * MANY} h <= 0`);
		rows.push(`hc ${hubCards.map((name) => name.replace('+', '-')).join(' ')} = 0`);
		rows.push(`hg ${hubGrams.map((name) => name.replace('+', '-')).join(' ')} = 0`);
		ship(hub, 'hub', 'h', 'hc', 'hg', []);
	}
	const text = [
		'Minimize',
		` obj: ${objective.join('\n ')}`,
		'Subject To',
		...rows.map((row, i) => ` r${i}: ${row}`),
		'Bounds',
		...bounds.map((bound) => ` ${bound}`),
		'General',
		...integers.map((name) => ` ${name}`),
		'Binary',
		...binaries.map((name) => ` ${name}`),
		'End'
	];
	return text.join('\n');

	/** Adds what a shipment costs: by number, by steps, or nothing from an amount on. */
	function ship(
		rule: PostageRule,
		place: string,
		open: string,
		cardsSent: string,
		gramsSent: string,
		money: readonly string[]
	): void {
		const fee = `p${place}`;
		objective.push(`+ ${fee}`);
		const cost: string[] = [];
		if (rule.sort === 'each') {
			cost.push(
				term(-(rule.firstMinor - rule.furtherMinor), open),
				term(-rule.furtherMinor, cardsSent)
			);
		} else {
			const load = rule.by === 'cards' ? cardsSent : gramsSent;
			const steps: string[] = [];
			const reach: string[] = [];
			for (const [t, { to, minor }] of rule.tiers.entries()) {
				const step = `t${place}_${t}`;
				binaries.push(step);
				steps.push(`+ ${step}`);
				reach.push(term(-(to ?? 2 * MANY) - (rule.by === 'grams' ? 1e-4 : 0), step));
				cost.push(term(-minor, step));
			}
			rows.push(`${steps.join(' ')} - ${open} = 0`, `${load} ${reach.join(' ')} <= 0`);
		}
		if (rule.freeFromMinor !== undefined) {
			const free = `f${place}`;
			binaries.push(free);
			rows.push(
				`${free} - ${open} <= 0`,
				`${money.join(' ')} - ${rule.freeFromMinor} ${free} >= 0`
			);
			cost.push(term(MANY, free));
		}
		rows.push(`${fee} ${cost.join(' ')} >= 0`);
	}
}
