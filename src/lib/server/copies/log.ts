import { cardFinder } from '../../core/checklist/versions/find-version.ts';
import type { Condition } from '../../core/copies/condition.ts';
import { readShorthand } from '../../core/shorthand/read-shorthand.ts';
import { good, type Outcome, type Problem } from '../../core/problem.ts';
import type { Collection } from '../database/open.ts';
import { makeChange, makeStep, refused } from '../journal/change.ts';
import { loadRelease } from '../releases/load-release.ts';
import { countOwned, readCopies } from './read-copies.ts';
import { addCopies } from './add-copies.ts';
import { onTopOf, setOwned, type OwnedChange } from './set-owned.ts';
import { entryContext } from './entry-context.ts';
import { movePile } from './trays.ts';
import type { StepId, TrayId } from '../../core/row-id.ts';

/** What a log did: how many versions changed, and how many cards came or went. */
export interface Logged {
	readonly versions: number;
	readonly cards: number;
}

/** The same, with the step of the journal that takes it back; null where nothing changed. */
export interface LoggedStep extends Logged {
	readonly step: StepId | null;
}

export interface EntryRequest {
	readonly line: string;
	readonly numbering: string | null;
	readonly parallel: string | null;
	readonly condition?: Condition;
	/** The pile in the tray that the cards come from. */
	readonly pile?: TrayId;
}

const noRelease: Problem = {
	message: 'this release is not in the collection',
	remedy: 'Choose another one.'
};

/** Applies an entry line in one transaction, or, with any problem in it, not at all. */
export async function logLine(
	collection: Collection,
	releaseKey: string,
	request: EntryRequest
): Promise<Outcome<LoggedStep>> {
	const { value: outcome, step } = await makeStep<Outcome<Logged>>(
		collection,
		async (record, tx) => {
			const stored = await loadRelease(tx, releaseKey);
			if (!stored) return refused([noRelease]);
			const present = await readCopies(tx, stored.id);
			const context = await entryContext(tx, stored.release, {
				numberingKey: request.numbering,
				parallelKey: request.parallel,
				condition: request.condition,
				owned: countOwned(present)
			});
			const reading = readShorthand(request.line, context);
			if (reading.problems.length > 0) return refused(reading.problems);
			await addCopies(record, stored, present, reading.additions, collection.now());
			const cards = reading.additions.reduce((sum, { quantity }) => sum + quantity, 0);
			if (request.pile !== undefined && cards > 0) {
				await movePile(record, tx, request.pile, cards, collection.now());
			}
			return {
				value: good(
					{
						versions: reading.changes.length,
						cards
					},
					reading.notes
				),
				label: `${stored.release.name}: log ${clip(request.line)}${finishName(stored.release, request.parallel)}`
			};
		}
	);
	return outcome.ok ? good({ ...outcome.value, step }, outcome.notes) : outcome;
}

/** Sets how many copies there are of some versions, in one transaction. Every version must exist. */
export function logOwned(
	collection: Collection,
	releaseKey: string,
	wanted: readonly OwnedChange[],
	condition?: Condition
): Promise<Outcome<Logged>> {
	return makeChange(collection, async (record, tx) => {
		const stored = await loadRelease(tx, releaseKey);
		if (!stored) return refused([noRelease]);
		const find = cardFinder(stored.release);
		const problems = wanted.flatMap(({ version }, i): Problem[] =>
			find(version)
				? []
				: [
						{
							pointer: `/changes/${i}/version`,
							message: `"${version}" is no version of ${stored.release.name}`,
							remedy: 'Reload the page: the checklist may have changed.'
						}
					]
		);
		if (new Set(wanted.map(({ version }) => version)).size < wanted.length) {
			problems.push({
				pointer: '/changes',
				message: 'a version stands twice',
				remedy: 'Name each version once.'
			});
		}
		if (problems.length > 0) return refused(problems);
		const present = await readCopies(tx, stored.id);
		const owned = countOwned(present);
		const changed = wanted
			.map((change) => onTopOf(owned, change))
			.filter(({ version, quantity }) => (owned.get(version) ?? 0) !== quantity);
		await setOwned(record, tx, stored, present, changed, { condition, loggedAt: collection.now() });
		const cards = changed.reduce(
			(sum, { version, quantity }) => sum + quantity - (owned.get(version) ?? 0),
			0
		);
		const count = `${Math.abs(cards)} ${Math.abs(cards) === 1 ? 'card' : 'cards'}`;
		return {
			value: good({ versions: changed.length, cards }),
			label: `${stored.release.name}: ${cards < 0 ? 'take out' : 'log'} ${count} on the wall`
		};
	});
}

function clip(line: string): string {
	return line.length > 60 ? `${line.slice(0, 59)}…` : line;
}

function finishName(
	release: { readonly parallels: readonly { readonly key: string; readonly name: string }[] },
	parallel: string | null
): string {
	const name = release.parallels.find(({ key }) => key === parallel)?.name;
	return name ? ` (${name})` : '';
}
