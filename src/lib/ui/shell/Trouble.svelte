<script lang="ts">
	import { trouble } from '../trouble.svelte';
</script>

{#if trouble.text !== ''}
	<div
		class="sticky top-0 z-20 mb-3 alert flex items-center justify-between gap-3 alert-error print:hidden"
		role="alert"
	>
		<span>{trouble.text}</span>
		<button class="btn btn-ghost btn-sm" onclick={trouble.close}>Close</button>
	</div>
{/if}
