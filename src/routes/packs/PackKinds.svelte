<script lang="ts">
	import { resolve } from '$app/paths';
	import type { PacksView } from '$lib/server/packs/packs-view';
	import { countOf, formatCount, formatMoney } from '$lib/ui/numerals';

	interface Props {
		compared: NonNullable<PacksView['compared']>;
		goal: number;
		currency: string;
	}
	/** Which packs hold what is missing, and how many of each are best, alone and together. */
	let { compared, goal, currency }: Props = $props();
	const money = (minor: number) => formatMoney(Math.round(minor), currency);
	const nameOf = (key: string) => compared.kinds.find((kind) => kind.key === key)?.name ?? key;
	const together = $derived(compared.best.packs.filter(({ packs }) => packs > 0));
	const releases = $derived([...new Set(compared.kinds.map(({ release }) => release))]);
</script>

<section class="mt-6 overflow-x-auto" aria-labelledby="kinds">
	<h2 id="kinds" class="mb-1 font-serif text-xl">Which packs hold what is missing</h2>
	<table class="table w-auto table-sm" data-testid="pack-kinds">
		<thead>
			<tr>
				<th scope="col">Packs</th>
				<th scope="col" class="text-right">May hold, of what is missing</th>
				<th scope="col" class="text-right">New a pack, now</th>
				<th scope="col" class="text-right">Costs</th>
				<th scope="col" class="text-right">Open, if alone</th>
				<th scope="col" class="text-right">In the end</th>
			</tr>
		</thead>
		<tbody>
			{#each compared.kinds as kind (kind.key)}
				<tr>
					<th scope="row" class="font-normal">
						{#if kind.isFormat}{kind.name} <span class="quiet">(a format)</span>
						{:else}<a
								class="prose-link"
								href={resolve(`/packs?goal=${goal}&pack=${encodeURIComponent(kind.key)}`)}
								>{kind.name}</a
							>{/if}
					</th>
					<td class="text-right font-semibold">{formatCount(kind.lacking)}</td>
					<td class="text-right estimate">{kind.newAPack.toFixed(2)}</td>
					<td class="text-right"
						>{kind.priceMinor === null ? 'not known' : money(kind.priceMinor)}</td
					>
					<td class="text-right estimate"
						>{kind.best === null
							? ''
							: kind.isAtMost
								? 'as many as there are'
								: formatCount(kind.best.packs)}</td
					>
					<td class="text-right estimate"
						>{kind.best === null ? '' : money(kind.best.totalMinor)}</td
					>
				</tr>
			{/each}
		</tbody>
	</table>
	<p class="mt-1">
		{#if together.length > 1}
			Best together: {together
				.map(({ key, packs }) => `${formatCount(packs)} of ${nameOf(key)}`)
				.join(', ')}; {money(compared.best.totalMinor)} in the end,
			{money(compared.best.savedMinor)} less than all as singles.
		{:else if together[0]}
			Best together: {countOf(together[0].packs, 'pack')} of {nameOf(together[0].key)} and no others.
		{:else}
			Best together: none of them.
		{/if}
		<span class="text-sm quiet"
			>Finish by finish:
			{#each releases as release, i (release)}{i > 0 ? ', ' : ''}<a
					class="prose-link"
					href={resolve(`/tell-apart/packs?release=${release}`)}>what each pack holds</a
				>{/each}.</span
		>
	</p>
</section>
