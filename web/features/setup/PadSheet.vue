<script setup lang="ts">
import { padTable } from '@wax-fist/core/setup';
import { setupWords as words } from './words.ts';
</script>

<template>
  <div role="region" :aria-label="words.whichPadForWhat" tabindex="0" :style="{ overflowX: 'auto' }">
    <table class="told">
      <thead>
        <tr>
          <th>{{ words.for }}</th>
          <th>{{ words.pad }}</th>
          <th>{{ words.held }}</th>
          <th>{{ words.where }}</th>
          <th>{{ words.holdersFeet }}</th>
          <th>{{ words.lookAfter }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in padTable" :key="row.name">
          <td>
            <b>{{ row.name }}</b>
          </td>
          <td>{{ row.on }}</td>
          <td>{{ row.held }}</td>
          <td>{{ row.where }}</td>
          <td>{{ row.feet }}</td>
          <td>{{ row.protect }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
