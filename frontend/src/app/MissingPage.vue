<template>
  <div class="mx-auto max-w-xl px-6 py-16">
    <h1 class="mb-3 text-3xl">There is no page at this address</h1>
    <p>It may have moved, or the address was not copied whole.</p>
    <p class="mt-4">
      <RouterLink to="/sets" class="font-bold text-tide underline">Go to your sets</RouterLink>
    </p>
  </div>
</template>
