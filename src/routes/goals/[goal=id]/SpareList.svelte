<script lang="ts">
	import { parseVersionKey } from '$lib/core/checklist/version-key';
	import { cardsOf, type Release } from '$lib/core/checklist/release';

	interface Props {
		release: Release;
		spares: readonly {
			readonly version: string;
			readonly quantity: number;
			readonly condition: string | null;
		}[];
	}
	let { release, spares }: Props = $props();
	const cards = $derived(new Map(cardsOf(release).map(({ card }) => [card.key, card])));
	const lines = $derived(
		spares.map(({ version, quantity, condition }) => {
			const name = parseVersionKey(version);
			const card = cards.get(name?.card ?? '');
			const parallel = release.parallels.find(({ key }) => key === name?.parallel)?.name;
			return {
				version,
				text: [card?.number ?? card?.title, parallel, quantity > 1 ? `×${quantity}` : '']
					.filter(Boolean)
					.join(' '),
				title: [card?.title, condition].filter(Boolean).join(', ')
			};
		})
	);
</script>

{#if lines.length > 0}
	<section class="mt-2">
		<h2 class="mb-1">To spare</h2>
		<p class="mb-2 quiet">
			The best-conditioned copy fills the slot; these are left over. Hover one for its condition.
		</p>
		<ul class="flex flex-wrap gap-x-4 gap-y-1">
			{#each lines as { text, title }, i (i)}<li {title}>{text}</li>{/each}
		</ul>
	</section>
{/if}
