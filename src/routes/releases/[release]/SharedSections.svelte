<script lang="ts">
	import { resolve } from '$app/paths';
	import { foldCards } from '$lib/core/checklist/fold-runs';
	import type { Release } from '$lib/core/checklist/release';

	interface Props {
		release: Release;
		/** Sections of other releases that count here as well. */
		shared: readonly {
			readonly releaseKey: string;
			readonly releaseName: string;
			readonly key: string;
			readonly name: string;
			readonly note: string | null;
		}[];
	}
	let { release, shared }: Props = $props();
	const given = $derived(release.sections.filter(({ alsoIn }) => alsoIn.length > 0));
</script>

{#if shared.length + given.length > 0}
	<section class="mt-8" aria-labelledby="shared">
		<h2 id="shared" class="mb-2">Shared sections</h2>
		<ul class="divide-y divide-base-300">
			{#each shared as { releaseKey, releaseName, key, name, note } (`${releaseKey} ${key}`)}
				<li class="py-2">
					<strong>{name}</strong>, kept with
					<a class="prose-link" href={resolve('/releases/[release]', { release: releaseKey })}
						>{releaseName}</a
					>{#if note}<span class="block text-sm quiet">{note}</span>{/if}
				</li>
			{/each}
			{#each given as { key, name, alsoIn, cards } (key)}
				<li class="py-2">
					<strong>{name}</strong> ({foldCards(cards)}) counts also in
					{#each alsoIn as other, i (other)}{i > 0 ? ', ' : ''}<a
							class="prose-link"
							href={resolve('/releases/[release]', { release: other })}>{other}</a
						>{/each}
				</li>
			{/each}
		</ul>
	</section>
{/if}
