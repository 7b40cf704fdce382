<script lang="ts">
	import type { SectionPair } from '$lib/core/checklist/compare-releases';
	import { wholeSections } from '$lib/core/checklist/edition';
	import type { Release } from '$lib/core/checklist/release';
	import type { Section } from '$lib/core/checklist/section';
	import { formatOdds } from '$lib/core/checklist/odds';
	import { countOf } from '$lib/ui/numerals';

	let { pair, left, right }: { pair: SectionPair; left: Release; right: Release } = $props();
	const alike = $derived(pair.pairs.filter(({ by }) => by === 'subject').length);
	const isOpen = $derived(pair.pairs.length <= 30);

	/** "208 cards, hobby 1:6, in Brass and Verdigris" */
	function tell(release: Release, section: Section | null): string {
		if (!section) return 'nothing like it';
		const whole = wholeSections(release).find(({ key }) => key === section.key) ?? section;
		const parallels = release.parallels
			.filter(({ runs }) =>
				runs.some((run) => !run.notIssued && (run.sections?.includes(section.key) ?? true))
			)
			.map(({ name }) => name);
		return [
			`${section.name}: ${countOf(whole.cards.length, 'card')}`,
			...section.odds.map((odds) => `${odds.packType} ${formatOdds(odds)}`),
			parallels.length > 0 ? `in ${parallels.join(', ')}` : ''
		]
			.filter(Boolean)
			.join(', ');
	}
</script>

<details class="border-t border-base-300 py-3" open={isOpen}>
	<summary class="cursor-pointer">
		<span class="font-serif text-xl">{pair.left?.name ?? pair.right?.name}</span>
		<span class="ml-2 quiet"
			>{alike > 0 ? `${countOf(alike, 'card')} of the same subject` : 'no subject in common'}</span
		>
	</summary>
	<p class="mt-2">{tell(left, pair.left)}</p>
	<p class="mb-3">{tell(right, pair.right)}</p>
	<ul class="grid gap-x-6 gap-y-1 sm:grid-cols-2 lg:grid-cols-3">
		{#each pair.pairs as { left: above, right: below, by }, i (i)}
			<li
				class={[
					'border-l-3 py-0.5 pl-3',
					by === 'subject' ? 'border-primary' : by === 'place' ? 'border-base-300' : 'border-accent'
				]}
			>
				{#each [above, below] as card, side (side)}
					<span class={['block truncate', card ? '' : 'quiet']} title={card?.title}>
						<strong class="mr-1 font-semibold">{card?.number ?? ''}</strong>{card
							? card.title
							: `not in ${side === 0 ? left.name : right.name}`}
					</span>
				{/each}
			</li>
		{/each}
	</ul>
</details>
