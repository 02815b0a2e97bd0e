<template>
  <main>
    <h1>Page not found</h1>
    <p>It may have been deleted. <RouterLink to="/">All plans</RouterLink> · <RouterLink to="/bin">Bin</RouterLink></p>
  </main>
</template>

<style scoped>
main {
  padding: 32px;
}
</style>
