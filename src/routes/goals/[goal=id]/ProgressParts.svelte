<script lang="ts">
	import { percentDone } from '$lib/core/goal/progress';
	import type { ProgressDivision } from '$lib/core/goal/progress-by';

	/** How far a goal is by series, class, group, tag and set. */
	let { divisions }: { divisions: readonly ProgressDivision[] } = $props();
</script>

{#if divisions.length > 0}
	<details class="mt-6">
		<summary class="cursor-pointer font-serif text-xl">In other ways</summary>
		<div class="mt-3 grid gap-x-10 gap-y-5 sm:grid-cols-2 xl:grid-cols-3">
			{#each divisions as { by, parts }, i (i)}
				<section aria-label={by}>
					<h3 class="mb-1 font-semibold first-letter:uppercase">{by}</h3>
					<ul>
						{#each parts as part (part.name)}
							<li class="grid grid-cols-[1fr_auto] gap-x-3 border-t border-base-300/60 py-1">
								<span class="truncate">{part.name}</span>
								<span>{part.have} <span class="quiet">of {part.need}</span></span>
								<progress
									class="progress col-span-2 h-1 progress-primary"
									aria-label="{part.name}, {percentDone(part)} %"
									value={part.have}
									max={part.need}
								></progress>
							</li>
						{/each}
					</ul>
				</section>
			{/each}
		</div>
	</details>
{/if}
