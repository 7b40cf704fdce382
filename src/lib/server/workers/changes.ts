import { readSettings } from '../database/settings.ts';
import type { Collection } from '../database/open.ts';
import type { WindowId } from '../journal/window.ts';
import type { StandTold } from '../storage/plan/stand-as-planned.ts';
import type { StorageChoice } from '../storage/plan/read-storage-options.ts';

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
	standAsPlanned: aside(async () => {
		const { standAsPlanned } = await import('../storage/plan/stand-as-planned.ts');
		return (
			collection: Collection,
			{ choice }: { readonly choice: StorageChoice },
			tell: TellChange
		) => standAsPlanned(collection, choice, tell);
	}),
	makeSlip: aside(async () => (await import('../storage/slips/make-asked-slip.ts')).makeAskedSlip),
	takeInKnowledge: aside(async () => {
		const { takeInKnowledge } = await import('../knowledge/take-in-knowledge.ts');
		return (collection: Collection, { bytes, take, seen }: KnowledgeTaking) =>
			takeInKnowledge(collection, bytes, new Set(take), seen);
	}),
	moveSteps: aside(async () => (await import('../journal/move-steps.ts')).moveSteps)
} as const;

export type Changes = typeof CHANGES;
export type ChangeName = keyof Changes;

function aside<Argument, Value>(
	load: () => Promise<
		(collection: Collection, argument: Argument, tell: TellChange) => Promise<Value>
	>
) {
	return async (
		{ argument, window }: Asked<Argument>,
		tell: TellChange,
		takeTurn: () => Promise<void>
	) => {
		const { withWriter } = await import('../upkeep/with-writer.ts');
		const change = await load();
		return withWriter(readSettings(process.env), window, takeTurn, (collection) =>
			change(collection, argument, tell)
		);
	};
}
