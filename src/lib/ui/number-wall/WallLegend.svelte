<script lang="ts">
	let { finishes, subsets }: { finishes: readonly string[]; subsets: boolean } = $props();
	const STATES = [
		{ face: 'bg-primary border-primary', mark: '', name: 'have' },
		{ face: 'border-dashed border-base-content/45', mark: '', name: 'missing' },
		{ face: 'border-primary', mark: '→', name: 'incoming' },
		{ face: 'bg-primary/25 border-primary', mark: '↑', name: 'to upgrade' },
		{ face: 'bg-primary border-primary', mark: '+1', name: 'spare' },
		{ face: 'border-transparent', mark: '—', name: 'not needed' }
	] as const;
</script>

<p class="mb-5 flex flex-wrap items-center gap-x-6 gap-y-1 text-sm quiet">
	{#each STATES as { face, mark, name } (name)}
		<span class="flex items-center gap-1.5">
			<span class={['relative inline-block size-4 rounded-sm border text-center leading-3', face]}>
				{#if mark === '+1'}<span
						class="absolute top-0 right-0 rounded-bl-sm bg-accent px-px text-[8px] leading-2.5 text-accent-content"
						>{mark}</span
					>{:else}{mark}{/if}
			</span>{name}
		</span>
	{/each}
	{#if subsets}<span class="flex items-center gap-1.5"
			><span class="size-0 border-t-8 border-r-8 border-t-current border-r-transparent"
			></span>subset</span
		>{/if}
	{#if finishes.length > 1}<span>foot of a tile, left to right: {finishes.join(', ')}</span>{/if}
</p>
