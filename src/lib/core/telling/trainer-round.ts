import type { Look } from '../checklist/tell.ts';
import { tellApartTable } from './tell-apart-table.ts';
import type { LookAlike } from './look-alike.ts';

/** What one sees of a card in a round of the trainer. */
export interface SeenTell {
	readonly feature: string;
	readonly value: string;
	readonly where: Look;
}

/** A question of the trainer: which of two look-alikes is it? */
export interface TrainerRound {
	readonly choices: readonly [LookAlike, LookAlike];
	/** Key of the one that is shown. */
	readonly answer: string;
	/** What is seen of it, at least one tell by which they differ. */
	readonly seen: readonly SeenTell[];
	/** What settles it, once it was answered. */
	readonly settles: readonly {
		readonly feature: string;
		readonly values: readonly (string | null)[];
	}[];
}

/** More than these are read, not looked at. */
const MOST_SEEN = 3;

/**
 * A round over two look-alikes: one of them is drawn, with a tell by which it differs and some others. Null
 * where nothing tells them apart.
 *
 * @param chances numbers in [0, 1): which one is shown, and which tells
 */
export function trainerRound(
	first: LookAlike,
	second: LookAlike,
	[which = 0, ...chances]: readonly number[]
): TrainerRound | null {
	const { rows } = tellApartTable([first, second]);
	// Only what is known of both tells them apart for sure.
	const telling = rows.filter(
		({ isDifferent, values }) => isDifferent && values.every((value) => value !== null)
	);
	if (telling.length === 0) return null;
	const place = which < 0.5 ? 0 : 1;
	const drawn = telling[Math.floor((chances[0] ?? 0) * telling.length)];
	const others = rows.filter((row) => row !== drawn && row.values[place] !== null);
	const more = others
		.map((row, i) => ({ row, chance: chances[i + 1] ?? (i * 0.37) % 1 }))
		.sort((a, b) => a.chance - b.chance)
		.map(({ row }) => row);
	const seen = [drawn, ...more]
		.flatMap((row): SeenTell[] => {
			const value = row?.values[place];
			return row && value ? [{ feature: row.feature, value, where: row.where }] : [];
		})
		.slice(0, MOST_SEEN);
	return {
		choices: [first, second],
		answer: (place === 0 ? first : second).key,
		seen,
		settles: telling.map(({ feature, values }) => ({ feature, values }))
	};
}
