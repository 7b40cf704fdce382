<script lang="ts">
	import { page } from '$app/state';

	interface Tab {
		/** Resolved. */
		readonly path: string;
		readonly name: string;
		readonly count?: number;
	}
	let { tabs, label }: { tabs: readonly Tab[]; label: string } = $props();
</script>

<nav aria-label={label} class="flex flex-wrap gap-1 print:hidden">
	{#each tabs as { path, name, count } (path)}
		{@const isHere = page.url.pathname === path}
		<!-- eslint-disable svelte/no-navigation-without-resolve -- resolved by the caller -->
		<a
			href={path}
			class={['btn btn-sm', isHere ? 'btn-primary' : 'btn-ghost']}
			aria-current={isHere ? 'page' : undefined}
			>{name}{#if count}<span class="font-semibold">{count}</span>{/if}</a
		>
		<!-- eslint-enable svelte/no-navigation-without-resolve -->
	{/each}
</nav>
