<script lang="ts">
	import type { PocketMark } from '$lib/core/binder/binder-page';
	import type { PageKind } from '$lib/core/binder/page-kind';
	import { describePocket, type PocketFace } from '$lib/core/binder/pocket-face';
	import PocketCard from './PocketCard.svelte';

	interface Props {
		face: PocketFace | null;
		mark: PocketMark | null;
		kind: PageKind;
		/** Whether it can be reached by Tab; arrow keys reach the others. */
		isStop?: boolean;
		isPicked?: boolean;
		/** Shows its card by itself; for pages that are only looked at. */
		look?: (() => void) | undefined;
		/** Left out: it is only looked at. */
		act?: (does: 'open' | 'pick' | 'focus') => void;
		move?: (key: string) => void;
		drop?: () => void;
	}
	let {
		face,
		mark,
		kind,
		isStop = false,
		isPicked = false,
		look,
		act,
		move,
		drop
	}: Props = $props();
	const marked = $derived(
		mark && (mark.use === 'title' ? `title: ${mark.text ?? ''}` : `${mark.use} pocket`)
	);
	const name = $derived(face ? describePocket(face) : (marked ?? 'empty pocket'));
	let isOver = $state(false);

	function onkeydown(event: KeyboardEvent) {
		if (event.ctrlKey || event.metaKey || event.altKey) return;
		if (event.key.startsWith('Arrow')) move?.(event.key);
		else if (event.key === 'Enter') act?.('open');
		else if (event.key === ' ') act?.('pick');
		else return;
		event.preventDefault();
		event.stopPropagation();
	}
</script>

{#snippet inside()}
	{#if face && (face.state === 'here' || face.state === 'stand-in')}
		<PocketCard {face} {kind} />
		{#if face.state === 'stand-in'}
			<span
				class="absolute inset-x-0 bottom-0 bg-accent px-1 text-center text-[11px] leading-tight text-accent-content"
				>stand-in · {face.kept}</span
			>
		{/if}
	{:else if face}
		<div
			class={[
				'flex h-full w-full flex-col items-center justify-center gap-1 rounded-md border border-dashed px-1 text-center',
				face.state === 'elsewhere' ? 'border-accent' : 'border-base-content/35'
			]}
		>
			{#if face.number}<span class="font-serif text-2xl leading-none">{face.number}</span>{/if}
			<span class="line-clamp-2 text-xs leading-tight wrap-anywhere">{face.title}</span>
			<span class="line-clamp-2 text-[11px] leading-tight quiet"
				>{face.place}{face.printRun ? ` /${face.printRun}` : ''}</span
			>
			{#if face.state === 'elsewhere'}
				<span class="line-clamp-3 text-[11px] leading-tight text-accent">{face.kept}</span>
			{:else}
				<span class="text-[11px] leading-tight text-error">missing</span>
			{/if}
		</div>
	{:else if mark?.use === 'title'}
		<span class="px-1 text-center font-serif text-base leading-tight wrap-anywhere"
			>{mark.text}</span
		>
	{:else if mark}
		<span class="text-[11px] quiet">{mark.use}</span>
	{/if}
{/snippet}

{#if act}
	<div
		role="button"
		tabindex={isStop ? 0 : -1}
		aria-label={name}
		aria-pressed={isPicked}
		title={name}
		data-testid="pocket"
		data-filled={face ? face.state !== 'missing' : false}
		draggable={face !== null}
		class={[
			'relative flex h-full min-w-0 items-center justify-center overflow-hidden border bg-base-100',
			isPicked || isOver ? 'border-primary ring-2 ring-primary' : 'border-base-300'
		]}
		{onkeydown}
		onfocus={() => act('focus')}
		ondblclick={() => act('open')}
		onclick={() => act('focus')}
		ondragstart={(event) => {
			event.dataTransfer?.setData('text/plain', name);
			act('pick');
		}}
		ondragover={(event) => {
			event.preventDefault();
			isOver = true;
		}}
		ondragleave={() => (isOver = false)}
		ondrop={(event) => {
			event.preventDefault();
			isOver = false;
			drop?.();
		}}
	>
		{@render inside()}
	</div>
{:else if look && face}
	<button
		aria-label={name}
		data-testid="pocket"
		data-filled={face.state !== 'missing'}
		class="relative flex h-full min-w-0 items-center justify-center overflow-hidden border border-base-300 bg-base-100"
		onclick={look}
	>
		{@render inside()}
	</button>
{:else}
	<div
		role="img"
		aria-label={name}
		data-testid="pocket"
		data-filled={face ? face.state !== 'missing' : false}
		class="relative flex h-full min-w-0 items-center justify-center overflow-hidden border border-base-300 bg-base-100"
	>
		{@render inside()}
	</div>
{/if}
