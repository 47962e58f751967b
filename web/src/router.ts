import { createRouter, createWebHistory } from 'vue-router'
import { answered, api } from '@/api/client'

// Each station is loaded when it is opened.
const ready = () => import('@/stations/batch/ReadyPage.vue')
const stock = () => import('@/stations/kitchen/StockPage.vue')
const fruit = () => import('@/stations/fruit/FruitStation.vue')
const batch = () => import('@/stations/batch/BatchStation.vue')
const kitchen = () => import('@/stations/kitchen/KitchenStation.vue')
const sources = () => import('@/stations/kitchen/SourcesPage.vue')
const pots = () => import('@/stations/kitchen/PotsPage.vue')
const schools = () => import('@/stations/kitchen/SchoolsPage.vue')
const welcome = () => import('@/stations/kitchen/WelcomePage.vue')
const tables = () => import('@/stations/kitchen/TablesPage.vue')

/** A kitchen that does not know its altitude yet starts with that, all others with a batch. */
async function start() {
  const kitchen = await answered(api.GET('/api/kitchen')).catch(() => undefined)
  return { name: kitchen && !kitchen.altitude ? 'welcome' : 'batch' }
}

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', component: batch, beforeEnter: start },
    { path: '/fruit', name: 'fruit', component: fruit, meta: { title: 'Fruit' } },
    { path: '/batch/ready', name: 'ready', component: ready, meta: { title: 'Get ready' } },
    { path: '/batch/:id?', name: 'batch', component: batch, meta: { title: 'Batch' } },
    { path: '/kitchen', name: 'kitchen', component: kitchen, meta: { title: 'Kitchen' } },
    { path: '/kitchen/sources', name: 'sources', component: sources, meta: { title: 'Own sources' } },
    { path: '/kitchen/stock', name: 'stock', component: stock, meta: { title: 'Jars, lids, bands' } },
    { path: '/kitchen/pots', name: 'pots', component: pots, meta: { title: 'Pots and burners' } },
    { path: '/kitchen/schools', name: 'schools', component: schools, meta: { title: 'Where cooks differ' } },
    { path: '/kitchen/welcome', name: 'welcome', component: welcome, meta: { title: 'Welcome' } },
    { path: '/kitchen/tables', name: 'tables', component: tables, meta: { title: 'Tested times' } },
    { path: '/:rest(.*)*', redirect: '/batch' },
  ],
})

router.afterEach((to) => {
  document.title = `${String(to.meta.title ?? 'Mellisca')} · Mellisca`
})
