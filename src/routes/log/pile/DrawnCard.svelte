<script lang="ts">
	import { variantsOf } from '$lib/core/checklist/variant';
	import { LOOKS } from '$lib/core/checklist/tell';
	import { findInIndex, type PileIndex } from '$lib/core/pile/pile-index';
	import { candidatesOf } from '$lib/core/telling/candidates-of';
	import CardPicture from '$lib/ui/card-picture/CardPicture.svelte';

	/** The top card of a pile to practise on, as it would lie in the hand: front, back, and what else one sees. */
	interface Props {
		index: PileIndex;
		/** Key of its version. */
		version: string;
		left: number;
	}
	let { index, version, left }: Props = $props();
	const found = $derived(findInIndex(index, version));
	const card = $derived(found?.entry.found.card);
	const release = $derived(found?.entry.of.release);
	const tells = $derived.by(() => {
		if (!found) return [];
		const { release: of } = found.entry.of;
		const { section, card: listed } = found.entry.found;
		const [told] = candidatesOf([{ release: of, section, card: listed, version: found.version }]);
		const shown = told?.tells ?? [];
		// What a variant would show otherwise, this one does.
		const others = variantsOf(of.variants, section, listed).flatMap(
			(variant) => variant.tells ?? []
		);
		return [
			...shown,
			...others.flatMap(({ feature, otherwise, where }) =>
				otherwise === undefined || shown.some((tell) => tell.feature === feature)
					? []
					: [{ feature, value: otherwise, ...(where ? { where } : {}) }]
			)
		];
	});
	/** What is seen without turning it over, on its back, and by closer looks. */
	const seen = $derived({
		front: tells.filter(({ where = 'front' }) => where === 'front'),
		back: tells.filter(({ where }) => where === 'back'),
		closer: tells.filter(({ where = 'front' }) => where !== 'front' && where !== 'back')
	});
	let isTurned = $state(false);
	$effect.pre(() => {
		void version;
		isTurned = false;
	});
</script>

{#if found && card && release}
	<aside class="max-w-xs" aria-label="The top card of the pile">
		<div class="flex items-start gap-3">
			<div class="w-32 shrink-0">
				{#if isTurned}
					<div
						class="flex aspect-[5/7] flex-col rounded-lg border border-base-content/40 bg-base-200 p-2 text-sm"
						data-testid="drawn-back"
					>
						{#if card.number}<span class="text-right font-serif text-2xl">{card.number}</span>{/if}
						<strong class="wrap-break-word">{card.title}</strong>
						{#each seen.back as { feature, value } (feature)}
							<span class="mt-1">{feature}: {value}</span>
						{/each}
						<span class="mt-auto text-xs quiet">© {release.year} {release.maker}</span>
					</div>
				{:else}
					<CardPicture
						seed="{release.key}/{card.key}"
						title={card.title}
						group={card.group ?? ''}
						finish={found.version.parallelKey}
						plate
					/>
				{/if}
			</div>
			<div class="min-w-0 text-sm">
				<p class="quiet">Top of {left}, drawn</p>
				<button type="button" class="btn my-1 btn-sm" onclick={() => (isTurned = !isTurned)}
					>Turn it over</button
				>
				{#if !isTurned}
					{#each seen.front as { feature, value } (feature)}<p>{feature}: {value}</p>{/each}
				{/if}
				{#if seen.closer.length > 0}
					<details>
						<summary class="cursor-pointer">Look closer</summary>
						{#each seen.closer as { feature, value, where = 'front' } (feature)}
							<p>{LOOKS[where].words}: {feature}, {value}</p>
						{/each}
					</details>
				{/if}
			</div>
		</div>
	</aside>
{/if}
