<script lang="ts">
	import Redo2 from '@lucide/svelte/icons/redo-2';
	import Undo2 from '@lucide/svelte/icons/undo-2';

	interface Props {
		undoLabel: string | null;
		redoLabel: string | null;
		message: string;
		move: (direction: 'undo' | 'redo') => void;
	}
	let { undoLabel, redoLabel, message, move }: Props = $props();
</script>

<div class="flex min-w-0 flex-1 items-center gap-1">
	<button
		class="btn btn-ghost btn-sm"
		disabled={undoLabel === null}
		onclick={() => move('undo')}
		title={undoLabel === null ? 'Nothing to undo' : `Undo: ${undoLabel}`}
	>
		<Undo2 class="size-4" aria-hidden="true" />Undo
	</button>
	<button
		class="btn btn-ghost btn-sm"
		disabled={redoLabel === null}
		onclick={() => move('redo')}
		title={redoLabel === null ? 'Nothing to redo' : `Redo: ${redoLabel}`}
	>
		<Redo2 class="size-4" aria-hidden="true" />Redo
	</button>
	<p class="min-w-0 truncate pl-2 text-sm quiet" role="status" data-testid="last-step">
		{#if message}{message}{:else if undoLabel}<span class="mr-1 max-sm:hidden">Last change:</span
			>{undoLabel}{/if}
	</p>
</div>
