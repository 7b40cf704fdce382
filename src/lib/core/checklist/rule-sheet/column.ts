import { bad, good, type Outcome } from '../../problem.ts';
import { formatListCell, parseListCell } from '../list-cell.ts';
import { plainName } from '../slug.ts';

export interface NamedKey {
	readonly key: string;
	readonly name: string;
}

/** The names that cells of a sheet may use; sections also under the names they had before the edit. */
export interface SheetNames {
	readonly sections: readonly NamedKey[];
	readonly parallels: readonly NamedKey[];
	readonly packTypes: readonly NamedKey[];
	/** Whether a card of the release is called so. */
	readonly isCard: (name: string) => boolean;
}

/** Nothing has a name: keys stand for themselves. */
export const NO_NAMES: SheetNames = {
	sections: [],
	parallels: [],
	packTypes: [],
	isCard: () => false
};

/** The lists among them. */
type NameList = 'sections' | 'parallels' | 'packTypes';

interface ColumnHead {
	readonly key: string;
	readonly name: string;
	/** What may stand in it, as an example. */
	readonly hint: string;
	/** Width in rem. */
	readonly width: number;
}

/**
 * A column of a sheet as data: how fields of an item are written as text and read back. Reading what
 * was written gives the fields again; an empty cell leaves them out.
 */
export interface Column<Item> extends ColumnHead {
	/** The only words that may stand in it, where there are such. */
	readonly choices?: readonly string[];
	write(item: Item, names: SheetNames): string;
	read(text: string, names: SheetNames): Outcome<Partial<Item>>;
}

/** A text as it stands. */
export function textColumn<Item>(
	head: ColumnHead,
	of: (item: Item) => string | undefined,
	as: (text: string) => Partial<Item>
): Column<Item> {
	return {
		...head,
		write: (item) => of(item) ?? '',
		read: (text) => good(text === '' ? {} : as(text))
	};
}

/** A whole number from 1. */
export function countColumn<Item>(
	head: ColumnHead,
	of: (item: Item) => number | undefined,
	as: (count: number) => Partial<Item>
): Column<Item> {
	return {
		...head,
		write: (item) => String(of(item) ?? ''),
		read: (text) => {
			if (text === '') return good({});
			const [, count] = /^\/?\s*([1-9]\d{0,7})$/.exec(text) ?? [];
			return count
				? good(as(Number(count)))
				: bad([{ message: `"${text}" is no number`, remedy: 'Write a whole number from 1.' }]);
		}
	};
}

/** One of a few words. */
export function choiceColumn<Item, Word extends string>(
	head: ColumnHead,
	choices: readonly Word[],
	of: (item: Item) => Word | undefined,
	as: (word: Word) => Partial<Item>
): Column<Item> {
	return {
		...head,
		choices,
		write: (item) => of(item) ?? '',
		read: (text) => {
			if (text === '') return good({});
			const choice = choices.find((known) => known === text.toLowerCase());
			return choice
				? good(as(choice))
				: bad([{ message: `"${text}" is not known here`, remedy: `Use ${choices.join(', ')}.` }]);
		}
	};
}

/** Things of the release by name, several separated by semicolons. */
export function namesColumn<Item>(
	head: ColumnHead,
	list: NameList,
	of: (item: Item) => readonly string[] | undefined,
	as: (keys: readonly string[]) => Partial<Item>
): Column<Item> {
	return {
		...head,
		write: (item, names) => formatListCell((of(item) ?? []).map((key) => nameOf(names[list], key))),
		read: (text, names) => {
			if (text === '') return good({});
			const keys = readNames(text, names[list]);
			return keys.ok ? good(as(keys.value)) : keys;
		}
	};
}

/** The name of a thing, or its key where another thing bears the same name. */
export function nameOf(things: readonly NamedKey[], key: string): string {
	const name = things.find((thing) => thing.key === key)?.name ?? key;
	return things.every((thing) => thing.name !== name || thing.key === key) ? name : key;
}

/** Reads names or keys separated by semicolons; every one that is not there is a problem. */
export function readNames(text: string, things: readonly NamedKey[]): Outcome<readonly string[]> {
	const keyOf = (entry: string) =>
		things.find(({ key }) => key === entry)?.key ??
		things.find(({ name }) => name === entry)?.key ??
		things.find(({ name }) => plainName(name) === plainName(entry))?.key;
	const entries = parseListCell(text);
	const strange = entries.filter((entry) => keyOf(entry) === undefined);
	if (strange.length === 0) return good(entries.flatMap((entry) => keyOf(entry) ?? []));
	const known = [...new Set(things.map(({ name }) => name))].join(', ');
	return bad(
		strange.map((entry) => ({
			message: `there is no "${entry}"`,
			remedy: known ? `Use ${known}, several separated by semicolons.` : 'There is none yet.'
		}))
	);
}
