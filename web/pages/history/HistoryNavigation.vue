<script setup lang="ts">
/** The two ways to look back: at one session after the other, or at weeks of them. */
</script>

<template>
  <header>
    <h1>History</h1>
    <nav aria-label="History views">
      <RouterLink to="/history" exact-active-class="here">Sessions</RouterLink>
      <RouterLink to="/history/trends" exact-active-class="here">Trends</RouterLink>
    </nav>
    <slot />
  </header>
</template>

<style scoped>
header {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 24px;
  align-items: center;
  min-height: 44px;
  border-bottom: 1px solid var(--line-strong);
}
h1 {
  font-size: 27px;
  line-height: 34px;
}
nav {
  display: flex;
  flex: 1;
  gap: 20px;
  align-self: stretch;
}
a {
  display: flex;
  align-items: center;
  min-height: 34px;
  border-bottom: 3px solid transparent;
  text-decoration: none;
}
.here {
  border-bottom-color: var(--ink);
  font-weight: 600;
}
</style>
