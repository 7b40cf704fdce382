import { qualityRank, type Condition } from '../copies/condition.ts';
import { judgeCard, type StackSlot, type Verdict } from '../goal/judge-card.ts';
import type { Keeping } from '../storage/classes/keeping.ts';
import { findOnPile, type Narrowing, type PileMatch } from './find-on-pile.ts';
import { nextPile, type KnownWorth, type NextPile } from './next-pile.ts';
import type { PileEntry, PileIndex } from './pile-index.ts';
import { watchOf, type Watch } from './watch-card.ts';

/** What the cards that came off the pile changed: see `afterTaking`. */
export interface PileProgress {
	/** The last of them. */
	readonly before?: { readonly release: string; readonly section: string };
	/** Slot (`slotName`) → how good the copy is that went into it. */
	readonly seated: ReadonlyMap<string, number>;
	/** Version key → copies that came. */
	readonly added: ReadonlyMap<string, number>;
	/** Version key → cards that were laid aside for friends. */
	readonly given: ReadonlyMap<string, number>;
}

/** What there is before a card comes off the pile. */
export interface PileState extends Partial<PileProgress> {
	/** The slots of all goals over these releases by version, in the order of the goals: see `slotsByVersion`. */
	readonly slots: ReadonlyMap<string, readonly StackSlot[]>;
	/** Version key → copies. */
	readonly owned: ReadonlyMap<string, number>;
	/** By which rules copies are kept. */
	readonly keeping: Pick<Keeping, 'useOf'>;
	/** What copies of a version are worth, as far as one of them is valued; by version key. */
	readonly worth?: ReadonlyMap<string, KnownWorth>;
	/** Friends who want a version, one card each; by version key. */
	readonly wantedBy?: ReadonlyMap<string, readonly string[]>;
	readonly narrowing?: Narrowing;
	/** Of cards of which none is typed. */
	readonly condition?: Condition;
	/** Words of one's own, as `normalPhrase` writes them → what they stand for. */
	readonly synonyms?: ReadonlyMap<string, string>;
}

/** What is asked of a card that is worth typing in full. */
export type FullField = 'condition' | 'serial' | 'value' | 'photo';

/** A card that the one in the hand may be, judged. */
export interface PileChoice {
	readonly match: PileMatch;
	/** As typed, or that of the whole pile. */
	readonly condition?: Condition;
	readonly verdict: Verdict;
	/** Why it stands where it does: "same set as the card before". */
	readonly reasons: readonly string[];
	readonly watch: readonly Watch[];
	/** What a copy of it is valued at; left out: none is. */
	readonly worth?: KnownWorth;
	/** Friends who want it; none: left out. */
	readonly wantedBy?: readonly string[];
	readonly pile: NextPile;
	/** Of what is worth it: what is to be typed as well; otherwise nothing. */
	readonly asks: readonly FullField[];
}

/** What the line means, the likeliest first. */
export interface PileJudgement {
	readonly choices: readonly PileChoice[];
	/** Cards that fit, those that are not shown included. */
	readonly fitting: number;
}

/** More choices than keys for them help nobody. */
export const MOST_CHOICES = 9;

/**
 * Judges a card that comes off a mixed pile: which cards the line may mean, what each would be here, what to
 * watch for, and on which pile it goes next. Choices are ranked by how well the line fits; of the same by the
 * set of the card before, then what a goal wants, what is owned, and the release used last.
 */
export function judgePileCard(index: PileIndex, line: string, state: PileState): PileJudgement {
	const found = findOnPile(index, line, state.narrowing, state.synonyms);
	const judged = found.map((match) => ({ match, ...verdictOn(match, state) }));
	const rankOf = ({ match: { entry }, verdict, owned }: (typeof judged)[number]) => [
		isSameSection(entry, state) ? 0 : isSameRelease(entry, state) ? 1 : 2,
		verdict.kind === 'needed' ? 0 : verdict.kind === 'upgrade' ? 1 : 2,
		owned > 0 ? 0 : 1,
		entry.of.place
	];
	const ranked = judged
		.map((each) => ({ ...each, rank: rankOf(each) }))
		.sort((a, b) => b.match.fit - a.match.fit || compareRanks(a.rank, b.rank));
	return {
		choices: ranked.slice(0, MOST_CHOICES).map((each) => toChoice(index, each, state)),
		fitting: found.length
	};
}

/** Judges a card of which it is known what it is. */
export function judgeMatch(index: PileIndex, match: PileMatch, state: PileState): PileChoice {
	return toChoice(index, { match, ...verdictOn(match, state) }, state);
}

interface JudgedMatch {
	readonly match: PileMatch;
	readonly verdict: Verdict;
	/** Copies of the version before this one. */
	readonly owned: number;
}

function verdictOn(match: PileMatch, state: PileState): Omit<JudgedMatch, 'match'> {
	const { version, condition = state.condition } = match;
	const owned = (state.owned.get(version.key) ?? 0) + (state.added?.get(version.key) ?? 0);
	const quality = condition === undefined ? {} : { condition };
	const slots = (state.slots.get(version.key) ?? []).map((slot) => {
		const heldRank = state.seated?.get(slotName(slot.goal, slot.key));
		return heldRank === undefined ? slot : { ...slot, heldRank };
	});
	return { verdict: judgeCard(version.key, quality, slots, owned), owned };
}

function toChoice(
	index: PileIndex,
	{ match, verdict, owned }: JudgedMatch,
	state: PileState
): PileChoice {
	const worth = state.worth?.get(match.version.key);
	const { key } = match.version;
	const friends = (state.wantedBy?.get(key) ?? []).slice(state.given?.get(key) ?? 0);
	const pile = nextPile(match, verdict, state.keeping, worth, friends);
	const { condition = state.condition } = match;
	return {
		match,
		...(condition === undefined ? {} : { condition }),
		verdict,
		reasons: reasonsOf(match.entry, verdict, owned, state),
		watch: watchOf(index, match),
		...(worth ? { worth } : {}),
		...(friends.length > 0 ? { wantedBy: friends } : {}),
		pile,
		asks: asksOf(match, pile.kind === 'class', state)
	};
}

const slotName = (goal: string, key: string) => `${goal} ${key}`;

/** What cards that came off the pile changed, in the order in which they came. */
export function afterTaking(choices: readonly PileChoice[]): PileProgress {
	const seated = new Map<string, number>();
	const added = new Map<string, number>();
	const given = new Map<string, number>();
	for (const { match, verdict, condition, pile } of choices) {
		const { key } = match.version;
		added.set(key, (added.get(key) ?? 0) + 1);
		if (pile.kind === 'friend') given.set(key, (given.get(key) ?? 0) + 1);
		if (verdict.kind !== 'needed' && verdict.kind !== 'upgrade') continue;
		const quality = condition === undefined ? {} : { condition };
		seated.set(slotName(verdict.goal, verdict.slot), qualityRank(quality));
	}
	const last = choices.at(-1)?.match.entry;
	return {
		seated,
		added,
		given,
		...(last ? { before: { release: last.of.release.key, section: last.found.section.key } } : {})
	};
}

/** Slots by the versions that may fill them. */
export function slotsByVersion(
	slots: readonly StackSlot[]
): ReadonlyMap<string, readonly StackSlot[]> {
	const byVersion = new Map<string, StackSlot[]>();
	for (const slot of slots) {
		for (const version of slot.versions) {
			const list = byVersion.get(version);
			if (list) list.push(slot);
			else byVersion.set(version, [slot]);
		}
	}
	return byVersion;
}

const isSameRelease = ({ of }: PileEntry, { before }: PileState) =>
	before?.release === of.release.key;
const isSameSection = (entry: PileEntry, state: PileState) =>
	isSameRelease(entry, state) &&
	[entry.found.section.key, entry.found.numbering.key].includes(state.before?.section ?? '');

function compareRanks(a: readonly number[], b: readonly number[]): number {
	const at = a.findIndex((rank, i) => rank !== b[i]);
	return at < 0 ? 0 : (a[at] ?? 0) - (b[at] ?? 0);
}

function reasonsOf(
	entry: PileEntry,
	verdict: Verdict,
	owned: number,
	state: PileState
): readonly string[] {
	return [
		isSameSection(entry, state) && 'same set as the card before',
		!isSameSection(entry, state) &&
			isSameRelease(entry, state) &&
			'same release as the card before',
		verdict.kind === 'needed' && `wanted for ${verdict.goal}`,
		verdict.kind === 'upgrade' && `better than the one in ${verdict.goal}`,
		owned > 0 && `${owned} owned`
	].filter((reason) => reason !== false);
}

/** Only what is worth it is typed in full: numbered cards, key cards, and what a class keeps apart. */
function asksOf(
	{ entry, version, condition, serial }: PileMatch,
	isKeptApart: boolean,
	state: PileState
): readonly FullField[] {
	const isKey = entry.found.card.marks.some((mark) => mark === 'key' || mark === 'rookie');
	const isWorth = isKey || isKeptApart || version.printRun !== null;
	if (!isWorth) return [];
	const known = condition ?? state.condition;
	return [
		...(qualityRank(known === undefined ? {} : { condition: known }) > 0
			? []
			: (['condition'] as const)),
		...(version.printRun !== null && serial === undefined ? (['serial'] as const) : []),
		'value',
		'photo'
	];
}
