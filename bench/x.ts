import loadHighs from 'highs';
import { compileModel } from '../src/lib/core/buying/plan/compile-model.ts';
import { drawMarket, seeded } from '../src/lib/core/buying/plan/drawn-market.fixture.ts';
import { asLinearProgram } from '../src/lib/core/buying/plan/as-linear-program.fixture.ts';
import { searchPlan } from '../src/lib/core/buying/plan/search-plan.ts';
import { costOfSelection } from '../src/lib/core/buying/plan/cost-of-selection.ts';
export async function run() {
	const highs = await loadHighs();
	for (const [wants, sellers, density, isRich, hasHub, seed, judge] of JSON.parse(process.env.CASES ?? '[]')) {
		const random = seeded(seed);
		const problem = drawMarket({ wants, sellers, density, isRich, hasHub }, random);
		const { model } = compileModel(problem);
		const t0 = performance.now();
		let first = 0, firstValue = 0;
		const log: string[] = [];
		let state;
		for (const told of (function* () { const g = searchPlan(model, { random, gap: Number(process.env.GAP ?? 0), mostNodes: Number(process.env.NODES ?? 400) }); for (;;) { const n = g.next(); yield n.value; if (n.done) return; } })()) {
			state = told;
			if (!first) { first = performance.now() - t0; firstValue = told.value; }
			log.push(`${Math.round(performance.now() - t0)}ms ${told.phase} ${told.value} ${told.bound.toFixed(0)}`);
			if (performance.now() - t0 > Number(process.env.LIMIT ?? 20000)) break;
		}
		const t = performance.now() - t0;
		let best = '';
		if (judge) {
			const t1 = performance.now();
			const answer = highs.solve(asLinearProgram(model), { time_limit: 60, mip_rel_gap: 0 });
			best = `highs ${answer.Status} ${answer.ObjectiveValue} in ${Math.round(performance.now() - t1)}ms`;
		}
		console.log(`${wants}x${sellers} d${density} rich ${isRich} hub ${hasHub} seed ${seed}: offers ${model.offerSeller.length} first ${first.toFixed(0)}ms ${firstValue}; end ${t.toFixed(0)}ms ${state.value} bound ${state.bound.toFixed(1)} gap ${(100 * (state.value - state.bound) / state.value).toFixed(2)}% proven ${state.isProven} sellers ${costOfSelection(model, state.best).sellers} ${best}`);
		if (process.env.LOG) console.log(log.join('\n'));
	}
}
