import { Type } from 'typebox';
import { group, rollup, sum } from 'd3-array';
import { deepEqual } from 'fast-equals';
import type { EntryReading } from '../../core/shorthand/read-shorthand.ts';
import {
	formatFriendLine,
	parseFriendLines,
	type FriendLine
} from '../../core/pile/friend-line.ts';
import { parseFriendText } from '../../formats/friend-list.ts';
import { bad, good, type Outcome, type Problem } from '../../core/problem.ts';
import { checkAgainst } from '../../schemas/validator.ts';
import { entryReader } from '../copies/read-entry.ts';
import type { Collection, Reader } from '../database/open.ts';
import { releases } from '../database/tables/index.ts';
import { makeChange, refused } from '../journal/change.ts';
import { readPreference, writePreference, type Preference } from '../preferences/preferences.ts';

type Additions = EntryReading['additions'];

const MOST_LETTERS = 20_000;
const Text = Type.String({ minLength: 1, maxLength: MOST_LETTERS });
const FriendLinesSchema = Type.Array(
	Type.Object({ friend: Text, release: Text, line: Text }, { additionalProperties: false }),
	{ maxItems: 500 }
);

/** Lists of friends, a line each; releases by their keys. */
const listOf = (key: string): Preference<typeof FriendLinesSchema> => ({
	...{ key, schema: FriendLinesSchema, usual: [] }
});
const LISTS = { want: listOf('friends want'), give: listOf('friends give') };
/** What friends want, or what they have to give. */
export type FriendList = keyof typeof LISTS;

/** A list of friends as lines to be read and changed; of one of them alone, without the name. */
export async function friendLines(
	db: Reader,
	list: FriendList = 'want',
	friend?: string
): Promise<string> {
	const wants = (await readPreference(db, LISTS[list])).filter(
		(line) => friend === undefined || line.friend === friend
	);
	const known = await db.select({ key: releases.key, name: releases.name }).from(releases);
	const nameOf = new Map(known.map(({ key, name }) => [key, name]));
	const alike = rollup(
		known,
		(same) => same.length,
		({ name }) => name.toLowerCase()
	);
	return wants
		.map((want) => {
			const name = nameOf.get(want.release) ?? want.release;
			// A name that others bear, or that holds a colon, would not be read again.
			const isPlain = alike.get(name.toLowerCase()) === 1 && !name.includes(':');
			const said = { ...want, release: isPlain ? name : want.release };
			return friend === undefined ? formatFriendLine(said) : `${said.release}: ${said.line}`;
		})
		.join('\n');
}

/** Sets what friends want, all at once; with any problem nothing is changed. */
export function setFriendWants(
	collection: Collection,
	text: string
): Promise<Outcome<{ readonly lines: number }>> {
	return makeChange(collection, async (record, tx) => {
		const read = parseFriendLines(text);
		const lines = read.ok ? await resolveLines(tx, read.value) : read;
		if (!lines.ok) return refused(lines.problems);
		await writePreference(record, tx, LISTS.want, [...lines.value]);
		return { value: good({ lines: lines.value.length }), label: 'What friends want' };
	});
}

/**
 * Sets what a friend wants and has to give, each as lines "release: cards" or as CSV; with any problem nothing is
 * changed. Two empty lists let the friend go.
 */
export function setFriend(
	collection: Collection,
	friend: string,
	texts: Readonly<Record<FriendList, string>>
): Promise<Outcome<{ readonly lines: number }>> {
	return makeChange(collection, async (record, tx) => {
		const name = friend.trim();
		if (name === '' || name.includes(':')) {
			const message = name === '' ? 'the friend has no name' : 'a name has no colon';
			return refused([{ field: 'friend', message, remedy: 'Write a name.' }]);
		}
		const problems: Problem[] = [];
		const read = { want: [] as FriendLine[], give: [] as FriendLine[] };
		for (const list of ['want', 'give'] as const) {
			const parsed = parseFriendText(name, texts[list]);
			const lines = parsed.ok ? await resolveLines(tx, parsed.value) : parsed;
			if (lines.ok) read[list].push(...lines.value);
			else problems.push(...lines.problems.map((problem) => ({ ...problem, field: list })));
		}
		if (problems.length > 0) return refused(problems);
		for (const list of ['want', 'give'] as const) {
			const others = (await readPreference(tx, LISTS[list])).filter((line) => line.friend !== name);
			const all = [...others, ...read[list]];
			const tooMuch = checkAgainst(FriendLinesSchema, all);
			if (tooMuch.length > 0) return refused(tooMuch);
			await writePreference(record, tx, LISTS[list], all);
		}
		const lines = read.want.length + read.give.length;
		return { value: good({ lines }), label: `Lists of ${name}` };
	});
}

/** All friends of whom something is known, by name. */
export async function listFriends(db: Reader): Promise<readonly string[]> {
	const all = await Promise.all(Object.values(LISTS).map((list) => readPreference(db, list)));
	return [...new Set(all.flat().map(({ friend }) => friend))].sort((a, b) => a.localeCompare(b));
}

/** A friend's list card by card: versions with how many; what a line no longer means is passed over. */
export async function cardsOfFriend(
	db: Reader,
	list: FriendList,
	friend: string
): Promise<ReadonlyMap<string, number>> {
	const cards = new Map<string, number>();
	const read = entryReader(db);
	for (const { friend: whose, release, line } of await readPreference(db, LISTS[list])) {
		if (whose !== friend) continue;
		const entry = await read(release, line);
		for (const { version, quantity } of entry.ok ? entry.value.additions : []) {
			cards.set(version, (cards.get(version) ?? 0) + quantity);
		}
	}
	return cards;
}

/** Lines with their releases by key; what names no release or no card is a problem, all at once. */
async function resolveLines(
	tx: Reader,
	lines: readonly (FriendLine & { readonly at: number; readonly isRow?: true })[]
): Promise<Outcome<readonly FriendLine[]>> {
	const known = await tx.select({ key: releases.key, name: releases.name }).from(releases);
	const problems: Problem[] = [];
	const wants: (FriendLine & { readonly additions: Additions })[] = [];
	const read = entryReader(tx);
	for (const { at, isRow: _, ...want } of lines) {
		const said = want.release.toLowerCase();
		const found = known.filter(({ key, name }) => key === said || name.toLowerCase() === said);
		const [release] = found;
		if (!release || found.length > 1) {
			problems.push({
				line: at,
				message: release
					? `several releases are called "${want.release}"`
					: `there is no release "${want.release}"`,
				remedy: 'Write its name as it stands under Releases, or its key.'
			});
			continue;
		}
		const entry = await read(release.key, want.line);
		if (entry.ok) wants.push({ ...want, release: release.key, additions: entry.value.additions });
		else {
			problems.push(
				...entry.problems.map(({ message, remedy = 'Write it as on the entry line.' }) => ({
					line: at,
					message,
					remedy
				}))
			);
		}
	}
	if (problems.length > 0) return bad(problems);
	const said = wants.map(({ additions: _, ...line }) => line);
	const joined = lines.some(({ isRow }) => isRow) ? await joinRows(wants, read) : said;
	// What does not fit would be read as nothing.
	const tooMuch = checkAgainst(FriendLinesSchema, joined);
	return tooMuch.length > 0 ? bad(tooMuch) : good(joined);
}

/** Rows of a table, a card each, as lines of many cards: those of a release in one, where that means the same. */
async function joinRows(
	rows: readonly (FriendLine & { readonly additions: Additions })[],
	read: ReturnType<typeof entryReader>
): Promise<readonly FriendLine[]> {
	const joined: FriendLine[] = [];
	for (const [release, some] of group(rows, (row) => row.release)) {
		const [first] = some;
		if (!first) continue;
		const line = some.map((row) => row.line).join(', ');
		const entry = line.length <= MOST_LETTERS ? await read(release, line) : null;
		const apart = countVersions(some.flatMap(({ additions }) => additions));
		if (entry?.ok && deepEqual(countVersions(entry.value.additions), apart)) {
			joined.push({ friend: first.friend, release, line });
		} else joined.push(...some.map(({ additions: _, ...row }) => row));
	}
	return joined;
}

const countVersions = (additions: Additions) =>
	rollup(
		additions,
		(same) => sum(same, ({ quantity }) => quantity),
		({ version }) => version
	);

/** More of a card no friend is served from one pile. */
const MOST_OF_A_CARD = 20;

/** Who wants which versions of some releases, by version key, as often as cards are wanted; what a line no longer means is passed over. */
export async function wantedByFriends(
	db: Reader,
	keys: readonly string[]
): Promise<ReadonlyMap<string, readonly string[]>> {
	const wanted = new Map<string, string[]>();
	const read = entryReader(db);
	for (const { friend, release, line } of await readPreference(db, LISTS.want)) {
		if (!keys.includes(release)) continue;
		const entry = await read(release, line);
		for (const { version, quantity } of entry.ok ? entry.value.additions : []) {
			const cards = Array<string>(Math.min(quantity, MOST_OF_A_CARD)).fill(friend);
			wanted.set(version, [...(wanted.get(version) ?? []), ...cards]);
		}
	}
	return wanted;
}
