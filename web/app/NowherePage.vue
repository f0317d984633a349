<template>
  <div class="page">
    <h1>There is nothing at this address</h1>
    <p>The link may be old, or what it led to was removed. <RouterLink to="/">Go to Today</RouterLink>.</p>
  </div>
</template>
