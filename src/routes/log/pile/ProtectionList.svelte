<script lang="ts">
	import { enhance } from '$lib/ui/form-actions';
	import { holderName } from '$lib/ui/all-holders.svelte';
	import type { Problem } from '$lib/core/problem';
	import type { Protection } from '$lib/server/pile/protect-pile';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import { countOf } from '$lib/ui/numerals';

	/** Sleeves and loaders for what lies on the piles, by the tiers of holders. */
	interface Props {
		protection: Protection;
		pile: number;
		problems: readonly Problem[];
	}
	let { protection, pile, problems }: Props = $props();
</script>

{#if protection.moves.length > 0}
	<section class="mt-6 max-w-3xl" aria-labelledby="protection">
		<h2 id="protection" class="mb-1 font-serif text-lg">Sleeves and loaders</h2>
		<p>
			{protection.takes.map(({ name, count }) => `${count} × ${name}`).join(', ') ||
				'Some come out of their holders'}
		</p>
		<ul class="mt-1">
			{#each protection.moves as { copyId, name, release, to, quantity, rule } (copyId)}
				<li class="flex flex-wrap gap-x-4 border-t border-base-300 py-1">
					<span class="min-w-0 flex-1 truncate">{name}, {release}</span>
					<span
						>{quantity > 1 ? `${countOf(quantity, 'card')} into ` : ''}{holderName(to) ||
							'nothing'}</span
					>
					<span class="text-sm quiet max-sm:hidden">{rule}</span>
				</li>
			{/each}
		</ul>
		<form method="POST" action="?/protect" use:enhance class="mt-2">
			<input type="hidden" name="pile" value={pile} />
			<button class="btn btn-sm">They are in</button>
		</form>
		<ProblemAlert {problems} class="mt-2" />
	</section>
{/if}
