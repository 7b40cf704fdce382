<script lang="ts">
	import Redo2 from '@lucide/svelte/icons/redo-2';
	import Undo2 from '@lucide/svelte/icons/undo-2';

	import type { NextSteps } from '$lib/server/journal/undo';

	interface Props {
		/** What this window may take back, or make again; null: not known yet. */
		steps: NextSteps | null;
		/** What anybody did last. */
		last: string | null;
		message: string;
		move: (direction: 'undo' | 'redo') => void;
	}
	let { steps, last, message, move }: Props = $props();
	const titleOf = (direction: 'Undo' | 'Redo', label: string | undefined) =>
		label === undefined
			? `Nothing to ${direction.toLowerCase()} of this window: the journal takes back any step`
			: `${direction}: ${label}`;
</script>

<div class="flex min-w-0 flex-1 items-center gap-1">
	<button
		class="btn btn-ghost btn-sm"
		disabled={steps !== null && steps.undo === null}
		onclick={() => move('undo')}
		title={titleOf('Undo', steps?.undo?.label)}
	>
		<Undo2 class="size-4" aria-hidden="true" />Undo
	</button>
	<button
		class="btn btn-ghost btn-sm"
		disabled={steps !== null && steps.redo === null}
		onclick={() => move('redo')}
		title={titleOf('Redo', steps?.redo?.label)}
	>
		<Redo2 class="size-4" aria-hidden="true" />Redo
	</button>
	<p class="min-w-0 truncate pl-2 text-sm quiet" role="status" data-testid="last-step">
		{#if message}{message}{:else if last}<span class="mr-1 max-sm:hidden">Last change:</span
			>{last}{/if}
	</p>
</div>
