<script lang="ts">
	/** A goal as one strip: a segment a section, as wide as it is large, filled as far as it is had. */
	interface Segment {
		readonly name: string;
		readonly have: number;
		readonly need: number;
	}
	let { segments }: { segments: readonly Segment[] } = $props();
</script>

<div class="flex h-3 gap-0.5" aria-hidden="true">
	{#each segments as { name, have, need }, i (i)}
		<div class="min-w-1 bg-base-300" style:flex-grow={need} title="{name}: {have} of {need}">
			<div
				class={['h-full', have === need ? 'bg-accent' : 'bg-primary']}
				style:width="{(100 * have) / Math.max(1, need)}%"
			></div>
		</div>
	{/each}
</div>
