<script lang="ts">
	import { lieIn } from '$lib/core/binder/card-fit';
	import type { PageKind } from '$lib/core/binder/page-kind';
	import type { PocketFace } from '$lib/core/binder/pocket-face';
	import { thumbnailOf } from '$lib/ui/card-picture/thumbnail';
	import CardPicture from '$lib/ui/card-picture/CardPicture.svelte';

	let { face, kind }: { face: PocketFace; kind: PageKind } = $props();
	const lies = $derived(lieIn(face.format, kind));
	const across = $derived((100 * lies.acrossMm) / kind.pocketWidthMm);
</script>

<!-- In scale: as wide in its pocket as the card is in a real one. -->
<div
	class="overflow-hidden rounded-[4%/3%]"
	style:width="{Math.min(100, across)}%"
	style:aspect-ratio={lies.acrossMm / lies.upMm}
>
	{#if face.photo}
		<img
			src={thumbnailOf(face.photo)}
			alt=""
			class="h-full w-full object-cover"
			decoding="async"
			draggable="false"
		/>
	{:else}
		<CardPicture {...face} plate cover />
	{/if}
</div>
