<script lang="ts">
	import { page } from '$app/state';

	interface Tab {
		/** Resolved. */
		readonly path: string;
		readonly name: string;
		readonly count?: number;
	}
	let { tabs, label }: { tabs: readonly Tab[]; label: string } = $props();
	/** Where one is, or what one is in: the longest path of a tab that leads there. */
	const here = $derived(
		tabs
			.map(({ path }) => path)
			.filter((path) => page.url.pathname === path || page.url.pathname.startsWith(`${path}/`))
			.reduce((longest, path) => (path.length > longest.length ? path : longest), '')
	);
</script>

<nav aria-label={label} class="flex flex-wrap gap-1 print:hidden">
	{#each tabs as { path, name, count } (path)}
		{@const isHere = path === here}
		<!-- eslint-disable svelte/no-navigation-without-resolve -- resolved by the caller -->
		<a
			href={path}
			class={['btn btn-sm', isHere ? 'btn-primary' : 'btn-ghost']}
			aria-current={page.url.pathname === path ? 'page' : isHere ? 'true' : undefined}
			>{name}{#if count}<span class="font-semibold">{count}</span>{/if}</a
		>
		<!-- eslint-enable svelte/no-navigation-without-resolve -->
	{/each}
</nav>
