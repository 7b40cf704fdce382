import { eq } from 'drizzle-orm';
import { parseAmount } from '../../../core/money/amount.ts';
import { good, type Outcome, type Problem } from '../../../core/problem.ts';
import { parsePartLines, parseSaleSteps } from '../../../core/selling/building/part-line.ts';
import type { BuildKept } from '../../../schemas/build.ts';
import { BUYING_RULES } from '../../buying/buying-rules.ts';
import type { Collection } from '../../database/open.ts';
import { builds, releases } from '../../database/tables/index.ts';
import { makeChange, refused } from '../../journal/change.ts';
import { readPreference } from '../../preferences/preferences.ts';

/** A plan as it is typed; amounts of each set, empty: none. */
export interface TypedBuild {
	readonly release: string;
	/** As `formatPartLine` and `formatSaleSteps` write them. */
	readonly parts: string;
	readonly sales: string;
	readonly feePercent: number;
	readonly supplies: string;
	readonly packing: string;
	readonly postage: string;
	readonly fixed: string;
	readonly hoursFixed: number;
	readonly hoursPerSet: number;
	readonly mostSets: number;
}

/** Keeps what building a release to sell takes; with any problem what was kept stays. */
export function keepBuild(
	collection: Collection,
	typed: TypedBuild
): Promise<Outcome<{ readonly release: string }>> {
	return makeChange(collection, async (record, tx) => {
		const [release] = await tx.select().from(releases).where(eq(releases.key, typed.release));
		if (!release) return refused([{ message: 'there is no such release', remedy: 'Choose one.' }]);
		const { currency } = await readPreference(tx, BUYING_RULES);
		const problems: Problem[] = [];
		const minorOf = (field: 'supplies' | 'packing' | 'postage' | 'fixed'): number => {
			if (typed[field].trim() === '') return 0;
			const amount = parseAmount(typed[field], currency);
			if (amount.ok) return amount.value.minor;
			problems.push(...amount.problems.map((problem) => ({ ...problem, field })));
			return 0;
		};
		const parts = parsePartLines(typed.parts, currency);
		const sales = parseSaleSteps(typed.sales, currency);
		if (!parts.ok) problems.push(...parts.problems);
		if (!sales.ok) problems.push(...sales.problems);
		const { feePercent, hoursFixed, hoursPerSet, mostSets } = typed;
		const plan: BuildKept = {
			...{ currency, feePercent, hoursFixed, hoursPerSet, mostSets },
			parts: parts.ok
				? parts.value.map((part) => ({ ...part, offers: part.offers.map((each) => ({ ...each })) }))
				: [],
			sales: sales.ok ? sales.value.map((step) => ({ ...step })) : [],
			...{ suppliesMinor: minorOf('supplies'), packingMinor: minorOf('packing') },
			...{ postageMinor: minorOf('postage'), fixedMinor: minorOf('fixed') }
		};
		if (problems.length > 0) return refused(problems);
		const [known] = await tx.select().from(builds).where(eq(builds.releaseId, release.id));
		if (known) await record.update(builds, known.id, { plan });
		else await record.insert(builds, [{ releaseId: release.id, plan }]);
		return {
			value: good({ release: release.key }),
			label: `Building ${release.name} to sell`
		};
	});
}

/** Forgets what was kept: the plan is suggested anew. */
export function dropBuild(
	collection: Collection,
	key: string
): Promise<Outcome<{ readonly release: string }>> {
	return makeChange(collection, async (record, tx) => {
		const [known] = await tx
			.select({ id: builds.id, name: releases.name })
			.from(builds)
			.innerJoin(releases, eq(releases.id, builds.releaseId))
			.where(eq(releases.key, key));
		if (!known) return refused([{ message: 'nothing is kept', remedy: 'Reload the page.' }]);
		await record.remove(builds, [known.id]);
		return { value: good({ release: key }), label: `Forget how ${known.name} is built to sell` };
	});
}
