<script lang="ts">
	import type { PileChoice } from '$lib/core/pile/judge-pile-card';
	import { countOf } from '$lib/ui/numerals';
	import { VERDICT_LOOK } from './verdict-look';

	/** What the line may mean, each a key or a tap away. */
	interface Props {
		choices: readonly PileChoice[];
		/** Cards that fit, those that are not shown included. */
		fitting: number;
		/** The choice that Enter takes. */
		chosen: number;
		isSearching: boolean;
		search: () => void;
		take: (place: number) => void;
	}
	let { choices, fitting, chosen, isSearching, search, take }: Props = $props();
	const finishOf = ({ match: { entry, version } }: PileChoice) =>
		entry.of.release.parallels.find(({ key }) => key === version.parallelKey)?.name;
	const variantOf = ({ match: { entry, version } }: PileChoice) =>
		entry.of.release.variants.find(({ key }) => key === version.variantKey)?.name;
</script>

<ol class="max-w-2xl" aria-label="What it may be">
	{#each choices as choice, place (choice.match.version.key)}
		{@const { entry, condition, serial } = choice.match}
		{@const { card, section } = entry.found}
		{@const look = VERDICT_LOOK[choice.verdict.kind]}
		<li>
			<button
				type="button"
				class={[
					'flex min-h-14 w-full items-center gap-3 border-t border-base-300 px-2 py-1.5 text-left',
					place === chosen && 'bg-base-200'
				]}
				aria-current={place === chosen}
				onclick={() => take(place)}
			>
				<span
					class={['grid size-9 shrink-0 place-items-center rounded-field text-lg', look.face]}
					aria-hidden="true">{look.mark}</span
				>
				<span class="min-w-0 flex-1">
					<span class="block truncate">
						{#if card.number}<strong class="mr-1">{card.number}</strong>{/if}{[
							card.title,
							finishOf(choice),
							variantOf(choice),
							condition,
							serial
						]
							.filter(Boolean)
							.join(', ')}
					</span>
					<span class="block truncate text-sm quiet">
						{entry.of.release.name}, {section.name}{[
							...choice.reasons,
							...(choice.wantedBy ?? []).map((friend) => `wanted by ${friend}`)
						]
							.map((reason) => ` · ${reason}`)
							.join('')}
					</span>
				</span>
				<span class="shrink-0 text-right text-sm">
					<span class="block">{look.word}</span>
					<span class="block quiet">{choice.pile.name}</span>
				</span>
				{#if place > 0}<kbd class="kbd shrink-0 kbd-sm max-sm:hidden">Alt {place + 1}</kbd>{/if}
			</button>
		</li>
	{/each}
</ol>
<p class="mt-2 flex flex-wrap items-center gap-3 quiet">
	{#if choices.length === 0}No card of these releases is called so.
	{:else if fitting > choices.length}{countOf(fitting - choices.length, 'other card')} as well: say more
		of it.{/if}
	<button type="button" class="btn btn-sm" disabled={isSearching} onclick={search}
		>{isSearching ? 'Looking' : 'Look in all releases'}</button
	>
</p>
