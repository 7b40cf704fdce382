<script lang="ts">
	import { resolve } from '$app/paths';
	import { holderName } from '$lib/ui/all-holders.svelte';
	import { thumbnailOf } from '$lib/ui/card-picture/thumbnail';
	import type { PhotoSide } from '$lib/core/copies/photo-side';
	import type { CopyRecord } from '$lib/core/copies/copy-record';
	import { nameQuality } from '$lib/core/goal/explain-copies';
	import { formatDay, formatMoney } from '$lib/ui/numerals';
	import type { Outing } from '$lib/core/copies/outing';
	import CopyForm from './CopyForm.svelte';
	import type { CopyDesk } from './copy-desk.svelte';

	interface Props {
		copy: CopyRecord & {
			readonly id: number;
			readonly places: readonly {
				readonly name: string;
				readonly boxId: number | null;
				readonly row: number | null;
			}[];
			readonly photos: readonly {
				readonly id: number;
				readonly hash: string;
				readonly side: PhotoSide | null;
			}[];
			/** With whom it is, while it is out. */
			readonly out: readonly Pick<Outing, 'to' | 'quantity' | 'outOn' | 'dueOn'>[];
		};
		desk: CopyDesk;
		deviations: readonly { readonly key: string; readonly name: string }[];
	}
	let { copy, desk, deviations }: Props = $props();
	const line = $derived(
		[
			copy.serial,
			copy.house ? `${copy.house} ${copy.certificate ?? ''}`.trim() : copy.certificate,
			...(copy.attributes ?? []),
			...deviations.flatMap(({ key, name }) => (copy.alsoVariants?.includes(key) ? [name] : [])),
			copy.isPrintingUnseen ? 'printing not looked at' : '',
			copy.status === 'kept' ? '' : copy.status,
			copy.place ? `in ${copy.place}` : '',
			holderName(copy.holder),
			...copy.out.map(
				({ to, quantity, outOn, dueOn }) =>
					`out${quantity < copy.quantity ? `: ${quantity}` : ''} with ${to} since ${formatDay(outOn)}${dueOn ? `, due ${formatDay(dueOn)}` : ''}`
			),
			copy.valueMinor === undefined
				? ''
				: `worth ${formatMoney(copy.valueMinor, copy.currency ?? 'EUR')}${copy.valueSource ? ` (${[copy.valueSource, copy.valueOn].filter(Boolean).join(', ')})` : ''}`,
			copy.note
		]
			.filter(Boolean)
			.join(' · ')
	);
</script>

<div class="mt-1 flex flex-wrap items-center gap-x-4 gap-y-1 pl-4">
	<span class="w-28 shrink-0"
		>{copy.quantity > 1 ? `${copy.quantity} × ` : ''}{nameQuality(copy)}</span
	>
	<span class="min-w-0 flex-1 basis-60 wrap-break-word quiet"
		>{#each copy.places as { name, boxId, row }, i (i)}{#if boxId === null}{name}{:else}<a
					class="prose-link"
					href={resolve('/boxes/[box=id]', { box: String(boxId) })}>{name}, row {row}</a
				>{/if}{i < copy.places.length - 1 || line ? ' · ' : ''}{/each}{line}</span
	>
	<a class="btn btn-ghost btn-sm" href="{resolve('/bench')}?copy={copy.id}">On the bench</a>
	<a class="btn btn-ghost btn-sm" href="{resolve('/selling')}?copy={copy.id}">Sell</a>
	{#if copy.out.length === 0}
		<!-- eslint-disable-next-line svelte/no-navigation-without-resolve -- resolved, with a query behind it -->
		<a class="btn btn-ghost btn-sm" href="{resolve('/log/many')}?copy={copy.id}">Lend or send</a>
	{:else}
		<a class="btn btn-ghost btn-sm" href={resolve('/boxes/out')}>It is out</a>
	{/if}
	{#if copy.quantity > 1}
		<button
			class="btn btn-ghost btn-sm"
			title="Takes one card off the pile, to be described by itself"
			onclick={() => desk.split(copy.id)}>Split one off</button
		>
	{/if}
	<button
		class="btn btn-ghost btn-sm"
		aria-expanded={desk.open === copy.id}
		onclick={() => desk.toggle(copy.id)}>{desk.open === copy.id ? 'Close' : 'Describe'}</button
	>
	<button
		class="btn btn-ghost text-error btn-sm"
		title="Takes {copy.quantity > 1 ? 'the pile' : 'it'} out; undo brings it back"
		onclick={() => desk.remove(copy.id)}>Take out</button
	>
	{#if copy.photos.length > 0}
		<ul class="flex w-full flex-wrap gap-2">
			{#each copy.photos as { id, hash, side } (id)}
				<li class="relative">
					<a href={resolve('/api/media/[hash]', { hash })} target="_blank" rel="noopener">
						<img
							class="h-24 rounded-sm border border-base-300"
							src={thumbnailOf(hash)}
							alt="This copy, {side ?? 'front'}"
						/></a
					>
					<button
						class="btn mt-1 w-full btn-ghost btn-xs"
						aria-label="The photo shows the {side ?? 'front'}: turn it over"
						onclick={() => desk.turnPhoto(id, side === 'back' ? 'front' : 'back')}
						>{side ?? 'front'}</button
					>
					<button
						class="btn absolute top-0 right-0 btn-circle btn-xs"
						aria-label="Take the photo off"
						onclick={() => desk.removePhoto(id)}>✕</button
					>
				</li>
			{/each}
		</ul>
	{/if}
</div>
{#if desk.open === copy.id}<CopyForm {copy} {desk} {deviations} />{/if}
