<script lang="ts">
	import { cornersOf, GUIDES, type Guide } from '$lib/core/measuring/centring/guides';
	import type { Point } from '$lib/core/measuring/centring/picture';
	import type { ScanBook } from './scan-book.svelte';

	/** A picture with its guides: each is dragged, or moved by the arrow keys (with Shift ten at a time). */
	let { book }: { book: ScanBook } = $props();
	let svg = $state<SVGSVGElement>();
	let dragged = $state.raw<{ readonly guide: Guide; readonly at: Point } | null>(null);
	const NAMES = {
		left: 'left side',
		right: 'right side',
		top: 'top side',
		bottom: 'bottom side',
		topLeft: 'upper left corner',
		topRight: 'upper right corner',
		bottomRight: 'lower right corner',
		bottomLeft: 'lower left corner'
	} as const;
	const STEPS: Readonly<Record<string, Point>> = {
		ArrowLeft: { x: -1, y: 0 },
		ArrowRight: { x: 1, y: 0 },
		ArrowUp: { x: 0, y: -1 },
		ArrowDown: { x: 0, y: 1 }
	};
	const nameOf = ({ of, part }: Guide) =>
		`${of === 'outer' ? 'Edge of the card' : 'Frame within the border'}: ${NAMES[part]}`;
	const isCorner = (guide: Guide) => cornersOf(guide).length === 1;

	/** Where a pointer is, in pixels of the picture. */
	function placeOf(event: PointerEvent): Point {
		const toScreen = svg?.getScreenCTM();
		if (!toScreen) return { x: 0, y: 0 };
		const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(toScreen.inverse());
		return { x, y };
	}
	function grip(event: PointerEvent & { currentTarget: Element }, guide: Guide) {
		event.currentTarget.setPointerCapture(event.pointerId);
		dragged = { guide, at: placeOf(event) };
	}
	function drag(event: PointerEvent) {
		if (!dragged) return;
		const at = placeOf(event);
		book.move(dragged.guide, at.x - dragged.at.x, at.y - dragged.at.y);
		dragged = { ...dragged, at };
	}
	function press(event: KeyboardEvent, guide: Guide) {
		const step = STEPS[event.key];
		if (!step) return;
		event.preventDefault();
		const times = event.shiftKey ? 10 : 1;
		book.move(guide, step.x * times, step.y * times);
	}
</script>

{#if book.picture}
	{@const { url, name, widthPx, heightPx } = book.picture}
	{@const unit = widthPx / 100}
	<svg
		bind:this={svg}
		viewBox="0 0 {widthPx} {heightPx}"
		class="max-w-full touch-none border border-base-300 select-none"
		style:width="min(36rem, {(34 * widthPx) / heightPx}rem)"
		style:aspect-ratio="{widthPx} / {heightPx}"
		role="group"
		aria-label="{name}, with guides"
	>
		<image href={url} width={widthPx} height={heightPx} />
		{#if book.guides}
			{#each GUIDES as guide (`${guide.of} ${guide.part}`)}
				{@const points = cornersOf(guide).map((corner) => book.guides?.[guide.of][corner])}
				{@const [a, b = a] = points}
				<g
					class={['guide', guide.of]}
					role="slider"
					tabindex="0"
					aria-label={nameOf(guide)}
					aria-valuemin={0}
					aria-valuemax={widthPx + heightPx}
					aria-valuenow={Math.round((a?.x ?? 0) + (a?.y ?? 0))}
					aria-valuetext="{Math.round(a?.x ?? 0)}, {Math.round(a?.y ?? 0)} pixels"
					onpointerdown={(event) => grip(event, guide)}
					onpointermove={drag}
					onpointerup={() => (dragged = null)}
					onpointercancel={() => (dragged = null)}
					onkeydown={(event) => press(event, guide)}
				>
					{#if isCorner(guide)}
						<circle class="reach" cx={a?.x} cy={a?.y} r={unit * 2.4} />
						<circle class="mark" cx={a?.x} cy={a?.y} r={unit * 0.9} stroke-width={unit * 0.35} />
					{:else}
						<line class="reach" x1={a?.x} y1={a?.y} x2={b?.x} y2={b?.y} stroke-width={unit * 3.5} />
						<line
							class="mark"
							x1={a?.x}
							y1={a?.y}
							x2={b?.x}
							y2={b?.y}
							stroke-width={unit * 0.35}
							stroke-dasharray={guide.of === 'inner' ? `${unit * 1.6} ${unit}` : undefined}
						/>
					{/if}
				</g>
			{/each}
		{/if}
	</svg>
{/if}

<style>
	.guide {
		cursor: move;
		outline: none;
	}
	.reach {
		stroke: transparent;
		fill: transparent;
		pointer-events: all;
	}
	.mark {
		fill: none;
		pointer-events: none;
	}
	/* Seen on any picture: a bright line with a dark rim. */
	.outer .mark {
		stroke: #37f0b0;
		filter: drop-shadow(0 0 1.5px #000) drop-shadow(0 0 1px #000);
	}
	.inner .mark {
		stroke: #ffd257;
		filter: drop-shadow(0 0 1.5px #000) drop-shadow(0 0 1px #000);
	}
	.guide:focus-visible .mark {
		stroke: #ff7a5c;
	}
	.guide:focus-visible .reach {
		stroke: rgb(255 122 92 / 0.3);
	}
</style>
