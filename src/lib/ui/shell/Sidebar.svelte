<script lang="ts">
	import Ellipsis from '@lucide/svelte/icons/ellipsis';
	import { resolve } from '$app/paths';
	import Brand from './Brand.svelte';
	import { isCurrent, MENU } from './menu';

	let { pathname }: { pathname: string } = $props();
	/** What the phone keeps behind "More" is closed again by going there. */
	let isOpen = $state(false);
	const isBehind = $derived(
		MENU.some(({ path, isFrequent }) => !isFrequent && isCurrent(path, pathname))
	);
	$effect(() => {
		void pathname;
		isOpen = false;
	});
</script>

<nav
	aria-label="Main menu"
	class="fixed inset-x-0 bottom-0 z-20 border-t border-base-300 bg-base-200 lg:inset-y-0 lg:right-auto lg:w-48 lg:border-t-0 lg:border-r print:hidden"
>
	<a
		href={resolve('/')}
		class="hidden items-center gap-2 px-5 pt-6 pb-8 font-serif text-xl lg:flex"
		aria-hidden="true"
		tabindex="-1"
	>
		<Brand />
	</a>
	{#snippet entry({ path, name, icon: Icon }: (typeof MENU)[number])}
		{@const current = isCurrent(path, pathname)}
		<a
			href={resolve(path)}
			aria-current={current ? 'page' : undefined}
			class={[
				'flex flex-col items-center gap-0.5 px-3 py-2 text-xs lg:flex-row lg:gap-3 lg:px-5 lg:py-2.5 lg:text-base',
				current
					? 'font-semibold text-primary lg:shadow-[inset_3px_0_0_var(--color-primary)]'
					: 'hover:bg-base-300/50'
			]}
		>
			<Icon class="size-5 lg:size-4.5" aria-hidden="true" />{name}
		</a>
	{/snippet}
	<ul class="flex justify-around lg:block">
		{#each MENU as item (item.path)}
			<li class={{ 'max-lg:hidden': !item.isFrequent }}>{@render entry(item)}</li>
		{/each}
		<li class="relative lg:hidden">
			<details bind:open={isOpen}>
				<summary
					class={[
						'flex cursor-pointer list-none flex-col items-center gap-0.5 px-3 py-2 text-xs',
						isBehind && 'font-semibold text-primary'
					]}><Ellipsis class="size-5" aria-hidden="true" />More</summary
				>
				<ul
					class="absolute right-0 bottom-full mb-1 w-36 rounded-box border border-base-300 bg-base-200 py-1 shadow-lg"
				>
					{#each MENU.filter(({ isFrequent }) => !isFrequent) as item (item.path)}
						<li>{@render entry(item)}</li>
					{/each}
				</ul>
			</details>
		</li>
	</ul>
</nav>
