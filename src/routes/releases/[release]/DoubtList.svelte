<script lang="ts">
	import type { Doubt } from '$lib/core/checklist/chapters/chapter';
	import type { Release } from '$lib/core/checklist/release';
	import { formatDay } from '$lib/ui/numerals';
	import type { Problem } from '$lib/core/problem';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import HuntForm from './HuntForm.svelte';
	import Sureness from './Sureness.svelte';

	/** What is not certain, what is still looked for, and what is collected beside the cards. */
	interface Props {
		release: Release;
		doubts: readonly Doubt[];
		/** What was wrong with what was said of a hunt. */
		problems: readonly Problem[];
	}
	let { release, doubts, problems }: Props = $props();
	const hunts = $derived(release.hunts ?? []);
	const collectibles = $derived(release.collectibles ?? []);
	const nameOf = (key: string | undefined) =>
		release.sections.find((section) => section.key === key)?.name;
</script>

{#if doubts.length > 0}
	<section class="mt-8 max-w-4xl" aria-labelledby="doubts">
		<h2 id="doubts" class="mb-2">Not certain</h2>
		<ul>
			{#each doubts as { what, ...evidence }, i (i)}
				<li class="border-t border-base-300/60 py-1">{what}<Sureness {...evidence} /></li>
			{/each}
		</ul>
	</section>
{/if}
{#if hunts.length > 0}
	<section class="mt-8 max-w-4xl" aria-labelledby="hunts">
		<h2 id="hunts" class="mb-2">Still looked for</h2>
		<ProblemAlert {problems} class="mb-3" />
		<ul>
			{#each hunts as { key, name, section, note, source, lastLooked, lookedWhere } (key)}
				<li class="border-t border-base-300/60 py-1">
					{name}{#if section}<span class="quiet">, {nameOf(section)}</span>{/if}
					<span class="block text-sm quiet"
						>{[
							note,
							source,
							lastLooked && `last looked for on ${formatDay(lastLooked)}`,
							lookedWhere
						]
							.filter(Boolean)
							.join(', ')}</span
					>
					<HuntForm hunt={key} section={release.sections.find((other) => other.key === section)} />
				</li>
			{/each}
		</ul>
	</section>
{/if}
{#if collectibles.length > 0}
	<section class="mt-8 max-w-4xl" aria-labelledby="beside">
		<h2 id="beside" class="mb-2">Beside the cards</h2>
		<ul>
			{#each collectibles as { key, kind, name, note } (key)}
				<li class="border-t border-base-300/60 py-1">
					<span class="quiet">{kind}</span>
					{name}{#if note}<span class="quiet">: {note}</span>{/if}
				</li>
			{/each}
		</ul>
	</section>
{/if}
