<script setup lang="ts">
import { padTable } from '@wax-fist/core/setup';
</script>

<template>
  <div role="region" aria-label="Which pad for what" tabindex="0" :style="{ overflowX: 'auto' }">
    <table class="told">
      <thead>
        <tr>
          <th>For</th>
          <th>Pad</th>
          <th>Held</th>
          <th>Where</th>
          <th>Holder’s feet</th>
          <th>Look after</th>
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
