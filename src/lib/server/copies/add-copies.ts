import { isPlain } from '../../core/copies/copy-record.ts';
import type { EntryAddition } from '../../core/shorthand/named-cards.ts';
import { copies } from '../database/tables/index.ts';
import type { Recorder } from '../database/record.ts';
import type { StoredRelease } from '../releases/load-release.ts';
import { placeOf } from './copy-rows.ts';
import type { StoredCopy } from './read-copies.ts';

/**
 * Adds copies. Those of which nothing is said but their condition join the pile of their version and
 * condition; those with a serial number or a place stand by themselves.
 */
export async function addCopies(
	record: Recorder,
	stored: StoredRelease,
	present: readonly StoredCopy[],
	additions: readonly EntryAddition[],
	loggedAt: string
): Promise<void> {
	const pileName = (version: string, condition: string | undefined) =>
		`${version} ${condition ?? ''}`;
	const piles = new Map(
		present.filter(isPlain).map((copy) => [pileName(copy.version, copy.condition), copy])
	);
	const more = new Map<string, { readonly addition: EntryAddition; quantity: number }>();
	const fresh: (typeof copies.$inferInsert)[] = [];
	const rowOf = ({ version, condition, serial, place }: EntryAddition, quantity: number) => ({
		...placeOf(stored.id, version),
		quantity,
		condition: condition ?? null,
		serial: serial ?? null,
		place: place ?? null,
		loggedAt
	});
	for (const addition of additions) {
		if (addition.serial !== undefined || addition.place !== undefined) {
			fresh.push(rowOf(addition, addition.quantity));
			continue;
		}
		const name = pileName(addition.version, addition.condition);
		const known = more.get(name) ?? { addition, quantity: 0 };
		known.quantity += addition.quantity;
		more.set(name, known);
	}
	for (const [name, { addition, quantity }] of more) {
		const pile = piles.get(name);
		if (pile) await record.update(copies, pile.id, { quantity: pile.quantity + quantity });
		else fresh.push(rowOf(addition, quantity));
	}
	await record.insert(copies, fresh);
}
