<script lang="ts">
	import { countOf } from '$lib/ui/numerals';

	type Line = { readonly number: string | null; readonly title: string } | null;
	interface Props {
		pairs: readonly {
			readonly left: Line;
			readonly right: Line;
			readonly by: 'subject' | 'place' | null;
		}[];
		/** Names of the two sides. */
		names: readonly string[];
	}
	let { pairs, names }: Props = $props();
	const alike = $derived(pairs.filter(({ by }) => by === 'subject').length);
</script>

<details class="mt-2" open={pairs.length <= 30}>
	<summary class="cursor-pointer text-sm quiet"
		>{alike > 0 ? `${countOf(alike, 'card')} of the same subject` : 'no subject in common'}</summary
	>
	<ul class="mt-2 grid gap-x-6 gap-y-1 sm:grid-cols-2 lg:grid-cols-3">
		{#each pairs as { left: above, right: below, by }, i (i)}
			<li
				class={[
					'border-l-3 py-0.5 pl-3',
					by === 'subject' ? 'border-primary' : by === 'place' ? 'border-base-300' : 'border-accent'
				]}
			>
				{#each [above, below] as card, side (side)}
					<span class={['block truncate', card ? '' : 'quiet']} title={card?.title}>
						<strong class="mr-1 font-semibold">{card?.number ?? ''}</strong>{card
							? card.title
							: `not in ${names[side] ?? ''}`}
					</span>
				{/each}
			</li>
		{/each}
	</ul>
</details>
