import { at } from '../../core/at.ts';
import { isPlain } from '../../core/copies/copy-record.ts';
import type { EntryAddition } from '../../core/shorthand/named-cards.ts';
import type { CopyId, ReleaseId } from '../../core/row-id.ts';
import { copies } from '../database/tables/index.ts';
import type { Recorder } from '../database/record.ts';
import type { StoredRelease } from '../releases/load-release.ts';
import { placeOf } from './copy-rows.ts';
import type { StoredCopy } from './read-copies.ts';

/** A copy to add, as an entry line or a pile says it. */
export interface CopyAddition extends EntryAddition {
	/** Nobody has looked yet which printing it is. */
	readonly isPrintingUnseen?: boolean;
}

/**
 * Adds copies; gives the copy that each addition went to, in their order. Those of which nothing is said
 * but their condition, and whether their printing was looked at, join the pile of the same; those with a
 * serial number or a place stand by themselves.
 */
export async function addCopies(
	record: Recorder,
	stored: StoredRelease,
	present: readonly StoredCopy[],
	additions: readonly CopyAddition[],
	loggedAt: string
): Promise<readonly CopyId[]> {
	const piles = new Map(
		present
			.filter(({ isPrintingUnseen: _, ...copy }) => isPlain(copy))
			.map((copy) => [pileName(copy), copy])
	);
	const more = new Map<string, { readonly addition: CopyAddition; quantity: number }>();
	const fresh: (typeof copies.$inferInsert)[] = [];
	/** Which fresh row each addition is, by the name of its pile or its place among the additions. */
	const rows = new Map<string | number, number>();
	const addRow = (name: string | number, addition: CopyAddition, quantity: number) => {
		rows.set(name, fresh.length);
		fresh.push(rowOf(stored.id, addition, quantity, loggedAt));
	};
	for (const [i, addition] of additions.entries()) {
		if (standsAlone(addition)) {
			addRow(i, addition, addition.quantity);
			continue;
		}
		const name = pileName(addition);
		const known = more.get(name) ?? { addition, quantity: 0 };
		known.quantity += addition.quantity;
		more.set(name, known);
	}
	const grown: { readonly id: CopyId; readonly values: { readonly quantity: number } }[] = [];
	for (const [name, { addition, quantity }] of more) {
		const pile = piles.get(name);
		if (pile) grown.push({ id: pile.id, values: { quantity: pile.quantity + quantity } });
		else addRow(name, addition, quantity);
	}
	await record.updateMany(copies, grown);
	const added = await record.insert(copies, fresh);
	return additions.map((addition, i) => {
		const name = standsAlone(addition) ? i : pileName(addition);
		const row = rows.get(name);
		const id = row === undefined ? piles.get(String(name))?.id : at(added, row).id;
		if (id === undefined) throw new RangeError(`addCopies: "${addition.version}" went nowhere`);
		return id;
	});
}

const standsAlone = ({ serial, place }: CopyAddition) =>
	serial !== undefined || place !== undefined;

const pileName = ({
	version,
	condition,
	isPrintingUnseen = false
}: Pick<CopyAddition, 'version' | 'condition' | 'isPrintingUnseen'>) =>
	`${version} ${condition ?? ''} ${isPrintingUnseen ? 'not looked at' : ''}`;

const rowOf = (
	releaseId: ReleaseId,
	{ version, condition, serial, place, isPrintingUnseen }: CopyAddition,
	quantity: number,
	loggedAt: string
) => ({
	...placeOf(releaseId, version),
	quantity,
	condition: condition ?? null,
	serial: serial ?? null,
	place: place ?? null,
	isPrintingUnseen: isPrintingUnseen ?? false,
	loggedAt
});
