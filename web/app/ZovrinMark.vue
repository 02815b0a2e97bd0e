<template>
  <svg width="34" height="20" viewBox="0 0 34 20" aria-hidden="true">
    <path
      fill="currentColor"
      d="M0 9H3.5C6 9 6 1 8.5 1H13C15.5 1 15.5 9 18 9H16V11H0ZM34 11H30.5C28 11 28 19 25.5 19H21C18.5 19 18.5 11 16 11V9H34Z"
    />
  </svg>
</template>
