<script lang="ts">
	import X from '@lucide/svelte/icons/x';
	import { resolve } from '$app/paths';
	import type { PocketFace } from '$lib/core/binder/pocket-face';
	import CardPicture from '$lib/ui/card-picture/CardPicture.svelte';

	interface Props {
		face: PocketFace;
		/** Cards that are easily taken for it, or show the same. */
		alike: readonly {
			readonly release: string;
			readonly card: string;
			readonly why: string;
			readonly title: string;
			readonly releaseName: string;
		}[];
		/** Where it lies in this binder, if it does. */
		pageOf: (release: string, card: string) => number | null;
		go: (page: number) => void;
		close: () => void;
	}
	let { face, alike, pageOf, go, close }: Props = $props();
	let box: HTMLElement;
	$effect(() => {
		box.focus();
	});
</script>

<!-- A card as large as the screen lets it be: front and back, and a way to what is like it. -->
<div
	bind:this={box}
	class="absolute inset-0 z-10 flex flex-col gap-3 bg-base-100 p-4"
	role="dialog"
	aria-label="{face.number ?? ''} {face.title}"
	tabindex="-1"
>
	<header class="flex items-start gap-4">
		<p class="min-w-0 flex-1 font-serif text-2xl leading-tight wrap-anywhere">
			{face.number ?? ''}
			{face.title}
			<span class="block text-base quiet"
				>{face.place}{face.printRun ? ` /${face.printRun}` : ''}</span
			>
		</p>
		<button class="btn btn-square btn-ghost btn-sm" aria-label="Back to the page" onclick={close}
			><X class="size-4" aria-hidden="true" /></button
		>
	</header>
	<div class="flex min-h-0 flex-1 justify-center gap-4">
		{#if face.photo}
			<img
				class="max-h-full min-w-0 rounded-sm object-contain"
				src={resolve('/api/media/[hash]', { hash: face.photo })}
				alt="Front"
			/>
		{:else}
			<div class="aspect-[5/7] h-full max-w-full"><CardPicture {...face} plate /></div>
		{/if}
		{#if face.backPhoto}
			<img
				class="max-h-full min-w-0 rounded-sm object-contain"
				src={resolve('/api/media/[hash]', { hash: face.backPhoto })}
				alt="Back"
			/>
		{/if}
	</div>
	{#if alike.length > 0}
		<ul class="flex flex-wrap gap-x-6 gap-y-1" aria-label="Like it">
			{#each alike as { release, card, why, title, releaseName } (`${release}/${card}`)}
				{@const page = pageOf(release, card)}
				<li>
					<span class="text-sm quiet">{why}:</span>
					{#if page !== null}
						<button class="prose-link" onclick={() => go(page)}>{title}, {releaseName}</button>
					{:else}
						<a
							class="prose-link"
							href={resolve('/releases/[release]/cards/[card]', { release, card })}
							>{title}, {releaseName}</a
						>
					{/if}
				</li>
			{/each}
		</ul>
	{/if}
</div>
