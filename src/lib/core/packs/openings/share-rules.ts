import { formatListCell, parseListCell } from '../../checklist/list-cell.ts';
import { plainName } from '../../checklist/slug.ts';
import { bad, good, type Outcome, type Problem } from '../../problem.ts';

/** Who gets the cards of which groups. */
export interface Sharer {
	readonly name: string;
	/** Groups as the cards bear them. */
	readonly groups: readonly string[];
}

/** How a group opening is shared out, as agreed before. */
export interface ShareRules {
	readonly sharers: readonly Sharer[];
	/** Who gets what nobody's group is on: one of them by name, or all in turn, the dearest card first. */
	readonly rest: { readonly sort: 'in turn' } | { readonly sort: 'to'; readonly name: string };
}

const REST = 'rest';
const IN_TURN = 'in turn';

/**
 * Writes the rules, a line a person: "Ada: Lighthouses; Ferries", then "rest: in turn" or "rest: Ada". A colon in a name is
 * written as a full stop would be: it may not stand in one.
 */
export function formatShareRules({ sharers, rest }: ShareRules): string {
	return [
		...sharers.map(({ name, groups }) => `${name}: ${formatListCell(groups)}`.trimEnd()),
		`${REST}: ${rest.sort === 'to' ? rest.name : IN_TURN}`
	].join('\n');
}

/**
 * Reads what `formatShareRules` writes; without a line for the rest it goes in turn. All problems come at once, each with its
 * line.
 *
 * @param groups the groups that there are on cards of the release
 */
export function parseShareRules(text: string, groups: readonly string[]): Outcome<ShareRules> {
	const problems: Problem[] = [];
	const sharers: Sharer[] = [];
	let rest: { readonly text: string; readonly line: number } | null = null;
	const takers = new Map<string, string>();
	for (const [i, row] of text.split('\n').entries()) {
		const line = i + 1;
		const tell = (message: string, remedy: string) => problems.push({ line, message, remedy });
		if (row.trim() === '') continue;
		const colon = row.indexOf(':');
		const name = row.slice(0, Math.max(0, colon)).trim();
		const said = row.slice(colon + 1).trim();
		if (name === '') {
			tell(`"${row.trim()}" says not who gets what`, 'Write Ada: Lighthouses; Ferries.');
			continue;
		}
		if (plainName(name) === plainName(REST)) {
			if (rest) tell('the rest is said twice', 'Keep one of the two.');
			rest = { text: said, line };
			continue;
		}
		if (sharers.some((known) => plainName(known.name) === plainName(name))) {
			tell(`${name} stands twice`, 'Write all groups of a person in one line.');
			continue;
		}
		const wanted = parseListCell(said).flatMap((entry): readonly string[] => {
			const group = groups.find((known) => plainName(known) === plainName(entry));
			if (group === undefined) {
				tell(
					`no card bears the group "${entry}"`,
					groups.length > 0 ? `Groups here: ${groups.join(', ')}.` : 'Its cards bear none.'
				);
				return [];
			}
			const taker = takers.get(group);
			if (taker !== undefined) {
				tell(`${group} goes to ${taker} already`, 'Give each group to one person.');
				return [];
			}
			takers.set(group, name);
			return [group];
		});
		sharers.push({ name, groups: wanted });
	}
	if (sharers.length < 2) {
		problems.push({
			message: 'shared out it is among two or more',
			remedy: 'Write a line for each person.'
		});
	}
	const toName = rest?.text ?? IN_TURN;
	const heir = sharers.find(({ name }) => plainName(name) === plainName(toName));
	const isInTurn = plainName(toName) === plainName(IN_TURN);
	if (!heir && !isInTurn) {
		problems.push({
			...(rest ? { line: rest.line } : {}),
			message: `the rest cannot go to "${toName}"`,
			remedy: `Write in turn, or one of ${sharers.map(({ name }) => name).join(', ')}.`
		});
	}
	if (problems.length > 0) return bad(problems);
	return good({ sharers, rest: heir ? { sort: 'to', name: heir.name } : { sort: 'in turn' } });
}
