<script lang="ts">
	import { resolve } from '$app/paths';
	import { LOOKS } from '$lib/core/checklist/tell';
	import type { LookAlike } from '$lib/core/telling/look-alike';
	import type { TellTable } from '$lib/core/telling/tell-apart-table';
	import CardPicture from '$lib/ui/card-picture/CardPicture.svelte';
	import { thumbnailOf } from '$lib/ui/card-picture/thumbnail';

	/** Look-alikes beside each other: what differs first. */
	interface Props {
		alikes: readonly LookAlike[];
		table: TellTable;
		pictures: readonly {
			readonly id: number;
			readonly of: string;
			readonly hash: string;
			readonly side: 'front' | 'back';
		}[];
		/** Address of the page without this one. */
		without?: (key: string) => string;
	}
	let { alikes, table, pictures, without }: Props = $props();
	const differing = $derived(table.rows.filter(({ isDifferent }) => isDifferent));
	const same = $derived(table.rows.filter(({ isDifferent }) => !isDifferent));
	const nameOf = (key: string) => alikes.find((each) => each.key === key)?.name ?? key;
</script>

{#snippet rows(list: readonly TellTable['rows'][number][])}
	{#each list as { feature, where, values, reliability, isDifferent } (feature)}
		<tr>
			<th scope="row" class="text-left font-normal">
				{feature}
				<span class="block text-sm quiet"
					>{LOOKS[where].words}{reliability === 'certain'
						? ''
						: reliability === 'poor'
							? ', it says little'
							: ', now and then misread'}</span
				>
			</th>
			{#each values as value, i (alikes[i]?.key)}
				<td
					class={[
						value === null && 'quiet italic',
						isDifferent && value !== null && 'font-semibold'
					]}>{value ?? 'not known'}</td
				>
			{/each}
		</tr>
	{/each}
{/snippet}

<div class="overflow-x-auto">
	<table class="table w-auto align-top" aria-label="Tells side by side">
		<thead>
			<tr class="align-top">
				<td></td>
				{#each alikes as { key, name, release, releaseKey, card, finish } (key)}
					{@const shown = pictures.filter(({ of }) => of === key)}
					<th scope="col" class="w-48 min-w-36 font-normal whitespace-normal">
						<span class="mb-2 flex gap-1">
							{#each shown as { id, hash, side } (id)}
								<img
									src={thumbnailOf(hash)}
									alt="{side} of {name}"
									class="h-28 max-w-24 rounded-sm object-contain object-top"
								/>
							{:else}
								<span class="block w-16"
									><CardPicture
										seed={card === null ? key : `${releaseKey}/${card}`}
										title={name}
										group=""
										{finish}
									/></span
								>
							{/each}
						</span>
						<strong class="block text-base text-base-content">{name}</strong>
						<span class="block quiet">{release}</span>
						<a
							class="mr-3 text-sm prose-link"
							href="{resolve('/tell-apart/pictures')}?of={encodeURIComponent(key)}"
							aria-label="Pictures of {name}, {release}">Pictures</a
						>
						{#if without}
							<!-- eslint-disable svelte/no-navigation-without-resolve -- resolved by the caller -->
							<a
								class="text-sm prose-link"
								href={without(key)}
								aria-label="Take away {name}, {release}">Take away</a
							>
							<!-- eslint-enable svelte/no-navigation-without-resolve -->
						{/if}
					</th>
				{/each}
			</tr>
		</thead>
		<tbody>
			{@render rows(differing)}
			{#if same.length > 0}
				<tr
					><td colspan={alikes.length + 1} class="pt-4 text-sm quiet"
						>The same, as far as anybody knows</td
					></tr
				>
				{@render rows(same)}
			{/if}
		</tbody>
	</table>
</div>
{#if table.rows.length === 0}
	<p class="mt-2">No tells are recorded of these yet. Say them where the release is edited.</p>
{/if}
{#each table.twins as [first, second] (`${first} ${second}`)}
	<p class="mt-2 max-w-2xl border-l-3 border-accent pl-4">
		Nothing recorded tells {nameOf(first)} from {nameOf(second)}: lay both side by side.
	</p>
{/each}
