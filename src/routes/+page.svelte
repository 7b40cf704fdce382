<h1>Jade Binder</h1>
