<script lang="ts">
	import type { OpeningView } from '$lib/server/packs/openings/openings-view';
	import { enhance } from '$lib/ui/form-actions';
	import { countOf } from '$lib/ui/numerals';

	/** What each pack, or box, held; the last first, what was new stands out. */
	let { data }: { data: OpeningView } = $props();
</script>

<section aria-labelledby="piles">
	<h2 id="piles" class="mb-1 font-serif text-xl">What they held</h2>
	{#if data.piles.length === 0}
		<p class="quiet">Write the cards of the first pack above, as they lie there.</p>
	{:else}
		<ol reversed>
			{#each data.piles as { id, number, packs, pulls } (id)}
				<li class="flex gap-3 border-t border-base-300 py-1.5" data-testid="opened-pile">
					<span class="w-8 shrink-0 text-sm quiet sm:w-16"
						>{number}{packs > 1 ? `, ${countOf(packs, 'pack')}` : ''}</span
					>
					<span class="min-w-0 flex-1">
						{#each pulls.slice(0, 60) as { version, name, quantity, fresh }, i (version)}{i > 0
								? ', '
								: ''}<span class={[fresh > 0 ? 'font-semibold' : 'quiet', 'inline']}
								>{name}{quantity > 1 ? ` × ${quantity}` : ''}</span
							>{#if fresh > 0}<span class="text-primary" title="new">&nbsp;+</span
								>{/if}{/each}{pulls.length > 60 ? ` and ${pulls.length - 60} more` : ''}
						{#if pulls.length === 0}<span class="quiet">nothing was written down</span>{/if}
					</span>
					<form method="POST" action="?/forget" use:enhance>
						<input type="hidden" name="pile" value={id} />
						<button
							class="btn btn-ghost btn-xs"
							aria-label="Forget pile {number}"
							title="Forget it; its cards stay in the collection">forget</button
						>
					</form>
				</li>
			{/each}
		</ol>
		{#if data.before > 0}<p class="quiet">{countOf(data.before, 'pile')} before these.</p>{/if}
		<p class="mt-1 text-sm quiet">
			New cards are bold, with a +. A pile that is forgotten leaves its cards in the collection;
			undo takes back both.
		</p>
	{/if}
</section>
