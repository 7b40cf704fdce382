import { bad, good, type Outcome, type Problem } from '../../problem.ts';
import { formatListCell, parseListCell } from '../list-cell.ts';
import { LOOK_NAMES, RELIABILITY_NAMES, type Look, type Reliability, type Tell } from '../tell.ts';
import type { Column } from './column.ts';

/**
 * Tells as a cell of a table:
 *
 *     cell  = tell *( ";" tell )
 *     tell  = feature ":" value *( "/" more )
 *     more  = "else" otherwise / "look" where / "trust" reliability
 *           / "groups" group *( "+" group ) / "places" place *( "+" place )
 *           / "tag" family "=" word *( "+" word )
 *
 * A colon, stroke, plus, equals sign or backslash within a text has a backslash before it.
 */
export function formatTells(tells: readonly Tell[]): string {
	return formatListCell(
		tells.map(({ feature, value, otherwise, where, reliability, groups, places, tags = {} }) =>
			[
				`${escaped(feature)}: ${escaped(value)}`,
				...(otherwise === undefined ? [] : [`else ${escaped(otherwise)}`]),
				...(where === undefined ? [] : [`look ${where}`]),
				...(reliability === undefined ? [] : [`trust ${reliability}`]),
				...(groups ? [`groups ${groups.map(escaped).join(' + ')}`] : []),
				...(places ? [`places ${places.join(' + ')}`] : []),
				...Object.entries(tags).map(
					([family, words]) => `tag ${escaped(family)} = ${words.map(escaped).join(' + ')}`
				)
			].join(' / ')
		)
	);
}

/** Reads the cell; all that is not understood is told at once. */
export function parseTells(text: string): Outcome<readonly Tell[]> {
	const problems: Problem[] = [];
	const tells = parseListCell(text).flatMap((entry): readonly Tell[] => {
		const tell = parseTell(entry);
		if (tell !== null) return [tell];
		problems.push({
			message: `"${entry}" is no tell`,
			remedy: `Write what is looked at and what is seen: back: BRASS / else none / look back. Looks: ${LOOK_NAMES.join(', ')}; trust: ${RELIABILITY_NAMES.join(', ')}.`
		});
		return [];
	});
	return problems.length > 0 ? bad(problems) : good(tells);
}

function parseTell(entry: string): Tell | null {
	const [head = '', ...more] = split(entry, '/');
	const [feature = '', value = '', ...rest] = split(head, ':').map(plain);
	if (feature === '' || value === '' || rest.length > 0) return null;
	let tell: Tell = { feature, value };
	for (const part of more) {
		const [, word = '', said = ''] = /^(\w+)\s+(.+)$/s.exec(part.trim()) ?? [];
		const read = MORE[word]?.(said) ?? null;
		if (read === null || isSaid(tell, read)) return null;
		const tags = read.tags && { tags: { ...tell.tags, ...read.tags } };
		tell = { ...tell, ...read, ...tags };
	}
	return tell;
}

/** Whether a tell says that already; tags of several families are said one by one. */
function isSaid(tell: Tell, { tags, ...more }: Partial<Tell>): boolean {
	const families = Object.keys(tags ?? {});
	if (families.some((family) => Object.hasOwn(tell.tags ?? {}, family))) return true;
	return Object.keys(more).some((field) => Object.hasOwn(tell, field));
}

const MORE: Readonly<Record<string, (said: string) => Partial<Tell> | null>> = {
	else: (said) => ({ otherwise: plain(said) }),
	look: (said) => {
		const where = LOOK_NAMES.find((name): name is Look => name === said);
		return where ? { where } : null;
	},
	trust: (said) => {
		const reliability = RELIABILITY_NAMES.find((name): name is Reliability => name === said);
		return reliability ? { reliability } : null;
	},
	groups: (said) => {
		const groups = split(said, '+').map(plain);
		return groups.every((group) => group !== '') ? { groups } : null;
	},
	tag: (said) => {
		const [family = '', words, ...rest] = split(said, '=');
		const listed = words === undefined ? [] : split(words, '+').map(plain);
		const isTag = plain(family) !== '' && listed.length > 0 && !listed.includes('');
		return isTag && rest.length === 0 ? { tags: { [plain(family)]: listed } } : null;
	},
	places: (said) => {
		const places = split(said, '+').map(Number);
		return places.every((place) => Number.isInteger(place) && place > 0) ? { places } : null;
	}
};

const escaped = (text: string) => text.replace(/[\\:/+=]/g, '\\$&');
const plain = (text: string) => text.trim().replace(/\\(.)/gs, '$1');

/** At a sign that has no backslash before it. */
function split(text: string, sign: string): readonly string[] {
	const parts: string[] = [];
	let part = '';
	for (const [token] of text.matchAll(/\\?./gs)) {
		if (token === sign) {
			parts.push(part);
			part = '';
		} else part += token;
	}
	return [...parts, part];
}

/** The tells of a section, finish or variant as a column. */
export const tellsColumn = <Item extends { readonly tells?: readonly Tell[] }>(): Column<Item> => ({
	key: 'tells',
	name: 'Tells',
	hint: 'back: BRASS / else none / look back',
	width: 24,
	write: ({ tells }) => formatTells(tells ?? []),
	read: (text) => {
		const outcome = parseTells(text);
		if (!outcome.ok) return outcome;
		return good((outcome.value.length > 0 ? { tells: outcome.value } : {}) as Partial<Item>);
	}
});
