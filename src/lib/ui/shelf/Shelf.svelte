<script lang="ts">
	import type { BoxKind } from '$lib/core/boxes/box-kind';
	import type { PlannedBox } from '$lib/core/boxes/plan-boxes';

	interface Props {
		boxes: readonly PlannedBox[];
		kinds: readonly BoxKind[];
		/** The box that is open. */
		open: number;
		choose: (box: number) => void;
	}
	let { boxes, kinds, open, choose }: Props = $props();
	const PX_A_MM = 0.45;
	const kindOf = (key: string) => kinds.find((kind) => kind.key === key);
	const nameOf = ({ box, kind, fill }: PlannedBox) =>
		`Box ${box}, ${kindOf(kind)?.name ?? kind}, ${Math.round(100 * fill)} % full`;
</script>

<!-- From the side, in scale; how far it is filled is seen as colour and read as a number. -->
<ul class="flex flex-wrap items-end gap-x-3 gap-y-4 border-b-4 border-base-300" aria-label="Shelf">
	{#each boxes as box (box.box)}
		{@const kind = kindOf(box.kind)}
		{#if kind}
			<li>
				<button
					class={[
						'relative block overflow-hidden border-2 border-b-0 bg-base-100 text-left',
						open === box.box ? 'border-primary' : 'border-base-content/40'
					]}
					style:width="{kind.lengthMm * PX_A_MM}px"
					style:height="{kind.heightMm * PX_A_MM + 26}px"
					aria-label={nameOf(box)}
					aria-pressed={open === box.box}
					title={nameOf(box)}
					onclick={() => choose(box.box)}
				>
					<span
						class="absolute inset-y-0 left-0 bg-primary/25"
						style:width="{100 * box.fill}%"
						aria-hidden="true"
					></span>
					<span class="relative block px-1.5 pt-1 font-serif text-xl leading-none">{box.box}</span>
					<span class="relative block px-1.5 text-xs">{Math.round(100 * box.fill)} %</span>
				</button>
			</li>
		{/if}
	{/each}
</ul>
