<!-- The mark and the name. -->
<svg viewBox="0 0 32 32" class="size-6" aria-hidden="true"
	><rect width="32" height="32" rx="6" class="fill-primary" /><path
		d="M8 7h7v18H8zM17 7h7v18h-7z"
		class="fill-base-200"
	/><path d="M16 6v20" class="stroke-accent" stroke-width="2" /></svg
>
Jade Binder
