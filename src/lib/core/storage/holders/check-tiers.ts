import type { Problem } from '../../problem.ts';
import type { HolderTier } from './choose-holder.ts';
import type { NameRule } from './tier-moves.ts';

/** What is wrong with tiers and the rules by name that name them: all of it. */
export function checkTiers(
	tiers: readonly HolderTier[],
	names: readonly NameRule[]
): readonly Problem[] {
	const known = new Set(tiers.map(({ name }) => name));
	const listed = [...known].join(', ');
	return [
		...(known.size < tiers.length
			? [{ field: 'tiers', message: 'two tiers have the same name', remedy: 'Rename one of them.' }]
			: []),
		...names.flatMap(({ tier }, i) =>
			known.has(tier)
				? []
				: [
						{
							pointer: `/names/${i}/tier`,
							field: 'tier',
							message: `there is no tier "${tier}"`,
							remedy: `Tiers are ${listed}.`
						}
					]
		)
	];
}
