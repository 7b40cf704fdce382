<script lang="ts">
	import { resolve } from '$app/paths';
	import type { GroupedPhotos } from '$lib/server/telling/group-photos';
	import type { WatchedPhoto } from '$lib/server/telling/picture-watch';
	import { thumbnailOf } from '$lib/ui/card-picture/thumbnail';
	import { countOf } from '$lib/ui/numerals';

	/** All photos of a number side by side; those that seem to show another picture are marked. */
	interface Props {
		title: string;
		photos: readonly WatchedPhoto[];
		/** What the comparison found, when it is done. */
		compared: Promise<readonly GroupedPhotos[] | null> | null;
	}
	let { title, photos, compared }: Props = $props();
</script>

<div class="mb-6" data-testid="photo-wall">
	<h3 class="mb-2 font-serif text-lg">
		{title}
	</h3>
	{#await compared}
		<p role="status" class="quiet">Comparing them</p>
	{:then cards}
		{@const groups = cards?.[0]?.groups ?? []}
		{#if groups.length > 1}
			<p class="mb-2 max-w-2xl border-l-3 border-accent pl-4">
				{countOf(groups.length, 'picture')}, it seems: look whether one of them is a variation. A
				suggestion; light and cut can deceive.
			</p>
		{/if}
		<ul class="flex flex-wrap gap-4">
			{#each photos as { hash, side, name, isReference }, i (i)}
				{@const at = groups.findIndex((group) => group.includes(hash))}
				<li class="text-sm">
					<a href={resolve('/api/media/[hash]', { hash })} target="_blank" rel="noopener"
						><img
							src={thumbnailOf(hash)}
							alt="{side ?? 'front'} of {name}"
							class={[
								'h-56 rounded-sm border-4 object-contain',
								at > 0 ? 'border-accent' : 'border-transparent'
							]}
						/></a
					>
					{name}{side === 'back' ? ', back' : ''}{isReference ? ', for reference' : ''}
					{#if at > 0}<strong class="block">another picture?</strong>{/if}
				</li>
			{/each}
		</ul>
	{:catch}<p role="alert">They could not be compared; they stand as they are.</p>{/await}
</div>
