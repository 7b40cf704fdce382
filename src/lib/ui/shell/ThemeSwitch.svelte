<script lang="ts">
	import { resolve } from '$app/paths';
	import Moon from '@lucide/svelte/icons/moon';
	import Sun from '@lucide/svelte/icons/sun';
	import { MediaQuery } from 'svelte/reactivity';

	let { theme, back }: { theme: string | undefined; back: string } = $props();
	/** Until a person chooses, the system does. */
	const system = new MediaQuery('prefers-color-scheme: dark', false);
	const isNight = $derived(theme === undefined ? system.current : theme === 'jade-night');
</script>

<form method="POST" action={resolve('/theme')}>
	<input type="hidden" name="back" value={back} />
	<button
		class="btn btn-square btn-ghost btn-sm"
		name="theme"
		value={isNight ? 'jade-day' : 'jade-night'}
		aria-label={isNight ? 'Light theme' : 'Dark theme'}
		title={isNight ? 'Light theme' : 'Dark theme'}
	>
		{#if isNight}<Sun class="size-4" aria-hidden="true" />{:else}<Moon
				class="size-4"
				aria-hidden="true"
			/>{/if}
	</button>
</form>
