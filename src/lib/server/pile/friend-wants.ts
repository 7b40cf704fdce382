import { Type } from 'typebox';
import { rollup } from 'd3-array';
import {
	formatFriendLine,
	parseFriendLines,
	type FriendLine
} from '../../core/pile/friend-line.ts';
import { good, type Outcome, type Problem } from '../../core/problem.ts';
import { checkAgainst } from '../../schemas/validator.ts';
import { readEntry } from '../copies/read-entry.ts';
import type { Collection, Reader } from '../database/open.ts';
import { releases } from '../database/tables/index.ts';
import { makeChange, refused } from '../journal/change.ts';
import { readPreference, writePreference, type Preference } from '../preferences/preferences.ts';

const Text = Type.String({ minLength: 1, maxLength: 20_000 });
const FriendWantsSchema = Type.Array(
	Type.Object({ friend: Text, release: Text, line: Text }, { additionalProperties: false }),
	{ maxItems: 500 }
);

/** What friends want; releases by their keys. */
const FRIEND_WANTS: Preference<typeof FriendWantsSchema> = {
	key: 'friends want',
	schema: FriendWantsSchema,
	usual: []
};

/** The same as lines to be read and changed. */
export async function friendLines(db: Reader): Promise<string> {
	const wants = await readPreference(db, FRIEND_WANTS);
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
			return formatFriendLine({ ...want, release: isPlain ? name : want.release });
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
		if (!read.ok) return refused(read.problems);
		const known = await tx.select({ key: releases.key, name: releases.name }).from(releases);
		const problems: Problem[] = [];
		const wants: FriendLine[] = [];
		for (const { at, ...want } of read.value) {
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
			const entry = await readEntry(tx, release.key, want.line);
			if (entry.ok) wants.push({ ...want, release: release.key });
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
		if (problems.length > 0) return refused(problems);
		// What does not fit would be read as nothing.
		const tooMuch = checkAgainst(FriendWantsSchema, wants);
		if (tooMuch.length > 0) return refused(tooMuch);
		await writePreference(record, tx, FRIEND_WANTS, wants);
		return { value: good({ lines: wants.length }), label: 'What friends want' };
	});
}

/** More of a card no friend is served from one pile. */
const MOST_OF_A_CARD = 20;

/** Who wants which versions of some releases, by version key, as often as cards are wanted; what a line no longer means is passed over. */
export async function wantedByFriends(
	db: Reader,
	keys: readonly string[]
): Promise<ReadonlyMap<string, readonly string[]>> {
	const wanted = new Map<string, string[]>();
	for (const { friend, release, line } of await readPreference(db, FRIEND_WANTS)) {
		if (!keys.includes(release)) continue;
		const entry = await readEntry(db, release, line);
		for (const { version, quantity } of entry.ok ? entry.value.additions : []) {
			const cards = Array<string>(Math.min(quantity, MOST_OF_A_CARD)).fill(friend);
			wanted.set(version, [...(wanted.get(version) ?? []), ...cards]);
		}
	}
	return wanted;
}
