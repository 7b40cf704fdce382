<script lang="ts">
	import { cardsOf, type Release } from '$lib/core/checklist/release';
	import { parseVersionKey } from '$lib/core/checklist/versions/version-key';

	interface Props {
		title: string;
		releases: readonly Release[];
		spares: readonly {
			readonly version: string;
			readonly quantity: number;
			readonly quality: string;
			readonly reason: string;
		}[];
	}
	let { title: heading, releases, spares }: Props = $props();
	const cards = $derived(
		new Map(
			releases.flatMap((release) =>
				cardsOf(release).map(({ card }) => [`${release.key}/${card.key}`, card] as const)
			)
		)
	);
	const lines = $derived(
		spares.map(({ version, quantity, quality, reason }) => {
			const name = parseVersionKey(version);
			const release = releases.find(({ key }) => key === name?.release);
			const card = cards.get(`${name?.release}/${name?.card}`);
			return {
				number: card?.number ?? '',
				title: card?.title ?? '',
				finish: release?.parallels.find(({ key }) => key === name?.parallel)?.name ?? '',
				quantity,
				quality,
				reason
			};
		})
	);
	const SHOWN = 24;
	let isWhole = $state(false);
</script>

{#if lines.length > 0}
	<section class="mt-8" aria-label={heading}>
		<h2 class="mb-2">{heading}</h2>
		<ul class="grid gap-x-8 lg:grid-cols-2">
			{#each isWhole ? lines : lines.slice(0, SHOWN) as { number, title, finish, quantity, quality, reason }, i (i)}
				<li class="flex flex-wrap items-baseline gap-x-3 border-b border-base-300 py-1">
					<strong class="w-10 shrink-0 text-right">{number}</strong>
					<span class="min-w-0 flex-1 truncate" {title}
						>{[title, finish].filter(Boolean).join(', ')}</span
					>
					{#if quantity > 1}<span>×{quantity}</span>{/if}
					<span class="text-sm quiet max-sm:w-full max-sm:pl-13">{quality}; {reason}</span>
				</li>
			{/each}
		</ul>
		{#if lines.length > SHOWN && !isWhole}
			<button class="btn mt-2 btn-sm" onclick={() => (isWhole = true)}
				>Show all {lines.length}</button
			>
		{/if}
	</section>
{/if}
