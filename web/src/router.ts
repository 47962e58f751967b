import { createRouter, createWebHistory } from 'vue-router'

// Each station is loaded when it is opened.
const batch = () => import('@/stations/batch/BatchStation.vue')
const kitchen = () => import('@/stations/kitchen/KitchenStation.vue')
const sources = () => import('@/stations/kitchen/SourcesPage.vue')
const tables = () => import('@/stations/kitchen/TablesPage.vue')

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', redirect: '/batch' },
    { path: '/batch/:id?', name: 'batch', component: batch, meta: { title: 'Batch' } },
    { path: '/kitchen', name: 'kitchen', component: kitchen, meta: { title: 'Kitchen' } },
    { path: '/kitchen/sources', name: 'sources', component: sources, meta: { title: 'Own sources' } },
    { path: '/kitchen/tables', name: 'tables', component: tables, meta: { title: 'Tested times' } },
    { path: '/:rest(.*)*', redirect: '/batch' },
  ],
})

router.afterEach((to) => {
  document.title = `${String(to.meta.title ?? 'Mellisca')} · Mellisca`
})
