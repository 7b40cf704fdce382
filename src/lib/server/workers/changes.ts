import { readSettings } from '../database/settings.ts';
import type { Collection } from '../database/open.ts';
import { moveSteps, type JournalMove } from '../journal/move-steps.ts';
import { takeInKnowledge } from '../knowledge/take-in-knowledge.ts';
import type { WindowId } from '../journal/window.ts';
import type { NewSlip } from '../../schemas/forms/boxes.ts';
import { makeAskedSlip } from '../storage/slips/make-asked-slip.ts';
import { standAsPlanned, type StandTold } from '../storage/plan/stand-as-planned.ts';
import type { StorageChoice } from '../storage/plan/read-storage-options.ts';
import { withWriter } from '../upkeep/with-writer.ts';

/** Says how far a change is. */
export type TellChange = (told: StandTold) => void;

/** A file of knowledge, and the ids of what is taken of it (`takeInKnowledge`). */
interface KnowledgeTaking {
	readonly bytes: Uint8Array;
	readonly take: readonly string[];
	readonly seen: string;
}

/** Who asks for a change that a worker makes. */
export interface Asked<Argument> {
	readonly argument: Argument;
	readonly window: WindowId | null;
}

/**
 * Changes that take long: a worker makes them, so that the server goes on answering. Broken off, nothing of them was
 * written.
 */
export const CHANGES = {
	standAsPlanned: aside(
		(collection, { choice }: { readonly choice: StorageChoice }, tell: TellChange) =>
			standAsPlanned(collection, choice, tell)
	),
	makeSlip: aside((collection, asked: NewSlip) => makeAskedSlip(collection, asked)),
	takeInKnowledge: aside((collection, { bytes, take, seen }: KnowledgeTaking) =>
		takeInKnowledge(collection, bytes, new Set(take), seen)
	),
	moveSteps: aside((collection, asked: JournalMove) => moveSteps(collection, asked))
} as const;

export type Changes = typeof CHANGES;
export type ChangeName = keyof Changes;

function aside<Argument, Value>(
	change: (collection: Collection, argument: Argument, tell: TellChange) => Promise<Value>
) {
	return ({ argument, window }: Asked<Argument>, tell: TellChange, takeTurn: () => Promise<void>) =>
		withWriter(readSettings(process.env), window, takeTurn, (collection) =>
			change(collection, argument, tell)
		);
}
