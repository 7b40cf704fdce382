<script lang="ts">
	import { enhance } from '$lib/ui/form-actions';
	import type { Ring } from '$lib/core/goal/next-ring';
	import type { Problem } from '$lib/core/problem';
	import { countOf } from '$lib/ui/numerals';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';

	/** Where a goal that is done may go on to. */
	let { rings, problems }: { rings: readonly Ring[]; problems: readonly Problem[] } = $props();
</script>

<ProblemAlert {problems} class="mb-4" />
{#if rings.length > 0}
	<section class="mb-8" aria-labelledby="rings">
		<h2 id="rings" class="mb-1">Complete. The next ring?</h2>
		<p class="mb-2 quiet">The goal grows by what you choose; undo takes it back.</p>
		<ul>
			{#each rings as { key, name, meaning, more } (key)}
				<li class="flex flex-wrap items-center gap-x-4 gap-y-1 border-t border-base-300/60 py-1.5">
					<span class="min-w-0 flex-1 basis-60"
						><span class="font-semibold">{name}</span> <span class="quiet">{meaning}</span></span
					>
					<form method="POST" action="?/ring" use:enhance>
						<input type="hidden" name="ring" value={key} />
						<button class="btn btn-sm">Add {countOf(more, 'slot')}</button>
					</form>
				</li>
			{/each}
		</ul>
	</section>
{/if}
