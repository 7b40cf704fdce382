import type { Card } from '../checklist/card.ts';
import { foldCards } from '../checklist/fold-runs.ts';
import { numberingsOf } from '../checklist/numbering.ts';
import type { Release } from '../checklist/release.ts';
import type { Section } from '../checklist/section.ts';
import { withCollectibles } from '../checklist/with-collectibles.ts';
import type { Filling } from './fill-slots.ts';
import type { ScopedSlot } from './scope-goal.ts';

/** One card that is wanted, once for every set that lacks it. */
export interface MissingCard {
	/** Version key */
	readonly version: string;
	readonly card: Card;
	/** The variant that is wanted; null: the regular card. */
	readonly variant: string | null;
	readonly quantity: number;
}

/** What one section lacks in one finish. */
export interface MissingGroup {
	readonly section: Section;
	readonly parallelKey: string | null;
	/** "Base" or "Base, Brass" */
	readonly name: string;
	readonly have: number;
	readonly need: number;
	readonly cards: readonly MissingCard[];
	/** Numbers folded into runs, then titles where there is no number, then variants by name. */
	readonly text: string;
}

/** What of one release is missing, by section and parallel, in checklist order; groups that lack nothing included. */
export function missingList(
	plain: Release,
	slots: readonly ScopedSlot[],
	filling: Filling
): readonly MissingGroup[] {
	const release = withCollectibles(plain);
	const lacking = new Set(filling.missing.map(({ slot }) => slot));
	const cards = new Map<string, { card: Card; section: Section }>();
	for (const numbering of numberingsOf(release)) {
		for (const { card, section } of numbering.cards) cards.set(card.key, { card, section });
	}
	const variants = new Map(release.variants.map(({ key, name }) => [key, name]));
	const groups = new Map<
		string,
		{
			section: Section;
			parallelKey: string | null;
			need: number;
			have: number;
			cards: Map<string, MissingCard>;
		}
	>();
	for (const { key, version } of slots.filter((slot) => slot.release === release.key)) {
		const found = cards.get(version.cardKey);
		if (!found) throw new RangeError(`missingList: no card "${version.cardKey}" in ${release.key}`);
		const place = `${version.sectionKey}~${version.parallelKey ?? ''}`;
		const group = groups.get(place) ?? {
			section: found.section,
			parallelKey: version.parallelKey,
			need: 0,
			have: 0,
			cards: new Map<string, MissingCard>()
		};
		groups.set(place, group);
		group.need += 1;
		if (!lacking.has(key)) {
			group.have += 1;
			continue;
		}
		const { variantKey } = version;
		const quantity = (group.cards.get(version.key)?.quantity ?? 0) + 1;
		const variant = variantKey === null ? null : (variants.get(variantKey) ?? variantKey);
		group.cards.set(version.key, { version: version.key, card: found.card, variant, quantity });
	}
	return inChecklistOrder(release, [...groups.values()]).map((group) => {
		const missing = [...group.cards.values()];
		return {
			...group,
			cards: missing,
			name: groupName(release, group.section, group.parallelKey),
			text: foldMissing(missing)
		};
	});
}

/** "1–12, 14, 20–22 x2, "Bread", 27 (home town)": what the entry line reads, but for variants. */
function foldMissing(missing: readonly MissingCard[]): string {
	const regular = missing.filter(({ variant }) => variant === null);
	const quantities = [...new Set(regular.map(({ quantity }) => quantity))].sort((a, b) => a - b);
	const runs = quantities.flatMap((quantity) => {
		const text = foldCards(
			regular.filter((entry) => entry.quantity === quantity).map(({ card }) => card)
		);
		return quantity === 1 ? [text] : [text.replace(/, |$/g, (end) => ` x${quantity}${end}`)];
	});
	const variants = missing.flatMap(({ card, variant, quantity }) =>
		variant === null
			? []
			: [`${card.number ?? card.title} (${variant})${quantity > 1 ? ` x${quantity}` : ''}`]
	);
	return [...runs, ...variants].filter(Boolean).join(', ');
}

/** "Base" for the base finish, "Base, Brass" for a parallel. */
export function groupName(release: Release, section: Section, parallelKey: string | null): string {
	if (parallelKey === null) return section.name;
	const parallel = release.parallels.find(({ key }) => key === parallelKey);
	return `${section.name}, ${parallel?.name ?? parallelKey}`;
}

/** The whole list as text to send to somebody: a heading, then a line a group that lacks something. */
export function formatMissingText(
	title: string,
	groups: readonly Pick<MissingGroup, 'name' | 'have' | 'need' | 'text'>[]
): string {
	const lines = groups
		.filter(({ have, need }) => have < need)
		.map(({ name, have, need, text }) => `${name} (${have} of ${need}): ${text}`);
	return [title, ...(lines.length > 0 ? lines : ['Nothing is missing.'])].join('\n');
}

function inChecklistOrder<Group extends { section: Section; parallelKey: string | null }>(
	release: Release,
	groups: readonly Group[]
): readonly Group[] {
	const finish = (group: Group) =>
		group.parallelKey === null
			? -1
			: release.parallels.findIndex(({ key }) => key === group.parallelKey);
	const section = (group: Group) =>
		release.sections.findIndex(({ key }) => key === group.section.key);
	return [...groups].sort((a, b) => finish(a) - finish(b) || section(a) - section(b));
}
