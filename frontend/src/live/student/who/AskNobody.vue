<template>
  <p class="text-slate">Nobody asks for your name here. You get a number.</p>
</template>
