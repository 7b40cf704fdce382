<script lang="ts">
	import { resolve } from '$app/paths';
	import { isCurrent, MENU } from './menu';

	let { pathname }: { pathname: string } = $props();
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
		<svg viewBox="0 0 32 32" class="size-6"
			><rect width="32" height="32" rx="6" class="fill-primary" /><path
				d="M8 7h7v18H8zM17 7h7v18h-7z"
				class="fill-base-200"
			/><path d="M16 6v20" class="stroke-accent" stroke-width="2" /></svg
		>
		Jade Binder
	</a>
	<ul class="flex justify-around lg:block">
		{#each MENU as { path, name, icon: Icon } (path)}
			{@const current = isCurrent(path, pathname)}
			<li>
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
			</li>
		{/each}
	</ul>
</nav>
