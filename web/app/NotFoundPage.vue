<template>
  <main>
    <h1>Nothing at this address</h1>
    <p>It may have been deleted. <RouterLink to="/">All plans</RouterLink> · <RouterLink to="/bin">Bin</RouterLink></p>
  </main>
</template>

<style scoped>
main {
  padding: 32px;
}
</style>
