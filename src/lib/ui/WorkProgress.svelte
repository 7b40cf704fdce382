<script lang="ts">
	import { formatCount } from './numerals';

	interface Props {
		label: string;
		done: number;
		/** 0: not known yet. */
		total: number;
		/** What is counted: "releases". */
		of: string;
		onCancel: () => void;
	}
	let { label, done, total, of, onCancel }: Props = $props();
</script>

<div class="mb-4 flex flex-wrap items-center gap-3">
	<progress
		class="progress w-64 progress-primary"
		value={done}
		max={Math.max(1, total)}
		aria-label={label}
	></progress>
	<span class="quiet">
		{total === 0 ? 'Begun …' : `${formatCount(done)} of ${formatCount(total)} ${of}`}
	</span>
	<button class="btn btn-sm" onclick={onCancel}>Cancel</button>
</div>
