import { createRouter, createWebHistory } from 'vue-router'
import { answered, api } from '@/api/client'

// Each station is loaded when it is opened.
const ready = () => import('@/stations/batch/ReadyPage.vue')
const stock = () => import('@/stations/kitchen/StockPage.vue')
const fruit = () => import('@/stations/fruit/FruitStation.vue')
const batch = () => import('@/stations/batch/BatchStation.vue')
const day = () => import('@/stations/day/DayStation.vue')
const season = () => import('@/stations/day/SeasonPage.vue')
const stepMinutes = () => import('@/stations/day/MinutesPage.vue')
const stove = () => import('@/stations/stove/StoveStation.vue')
const practice = () => import('@/stations/stove/PracticePage.vue')
const tray = () => import('@/stations/tray/TrayStation.vue')
const shelf = () => import('@/stations/shelf/ShelfStation.vue')
const jars = () => import('@/stations/shelf/JarsPage.vue')
const jar = () => import('@/stations/shelf/JarPage.vue')
const addJars = () => import('@/stations/shelf/AddJarsPage.vue')
const round = () => import('@/stations/shelf/RoundPage.vue')
const wants = () => import('@/stations/shelf/WantsPage.vue')
const labels = () => import('@/stations/shelf/LabelsPage.vue')
const recalls = () => import('@/stations/shelf/RecallsPage.vue')
const recall = () => import('@/stations/shelf/RecallPage.vue')
const bench = () => import('@/stations/shelf/BenchPage.vue')
const almanac = () => import('@/stations/almanac/AlmanacStation.vue')
const kitchen = () => import('@/stations/kitchen/KitchenStation.vue')
const sources = () => import('@/stations/kitchen/SourcesPage.vue')
const pots = () => import('@/stations/kitchen/PotsPage.vue')
const schools = () => import('@/stations/kitchen/SchoolsPage.vue')
const files = () => import('@/stations/kitchen/FilesPage.vue')
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
    { path: '/day/ahead', name: 'season', component: season, meta: { title: 'Days ahead' } },
    {
      path: '/day/minutes',
      name: 'step-minutes',
      component: stepMinutes,
      meta: { title: 'How long things take' },
    },
    { path: '/day/:date?', name: 'day', component: day, meta: { title: 'Day' } },
    { path: '/stove', name: 'stove', component: stove, meta: { title: 'Stove' } },
    { path: '/stove/practice', name: 'practice', component: practice, meta: { title: 'Practice' } },
    { path: '/tray', name: 'tray', component: tray, meta: { title: 'Tray' } },
    { path: '/shelf', name: 'shelf', component: shelf, meta: { title: 'Shelf' } },
    { path: '/shelf/jars', name: 'jars', component: jars, meta: { title: 'All jars' } },
    { path: '/shelf/add', name: 'add-jars', component: addJars, meta: { title: 'Add jars' } },
    { path: '/shelf/jar/:id', name: 'jar', component: jar, meta: { title: 'Jar' } },
    { path: '/shelf/round', name: 'round', component: round, meta: { title: 'Look over' } },
    { path: '/shelf/wants', name: 'wants', component: wants, meta: { title: 'Wants' } },
    { path: '/shelf/labels', name: 'labels', component: labels, meta: { title: 'Labels' } },
    { path: '/shelf/recalls', name: 'recalls', component: recalls, meta: { title: 'Call back' } },
    { path: '/shelf/recalls/:id', name: 'recall', component: recall, meta: { title: 'Called back' } },
    { path: '/shelf/show', name: 'bench', component: bench, meta: { title: 'For the show' } },
    { path: '/almanac', name: 'almanac', component: almanac, meta: { title: 'Almanac' } },
    { path: '/kitchen', name: 'kitchen', component: kitchen, meta: { title: 'Kitchen' } },
    { path: '/kitchen/sources', name: 'sources', component: sources, meta: { title: 'Own sources' } },
    { path: '/kitchen/stock', name: 'stock', component: stock, meta: { title: 'Jars, lids, bands' } },
    { path: '/kitchen/pots', name: 'pots', component: pots, meta: { title: 'Pots and burners' } },
    { path: '/kitchen/schools', name: 'schools', component: schools, meta: { title: 'Where cooks differ' } },
    { path: '/kitchen/files', name: 'files', component: files, meta: { title: 'In and out' } },
    { path: '/kitchen/welcome', name: 'welcome', component: welcome, meta: { title: 'Welcome' } },
    { path: '/kitchen/tables', name: 'tables', component: tables, meta: { title: 'Tested times' } },
    { path: '/:rest(.*)*', redirect: '/batch' },
  ],
})

router.afterEach((to) => {
  document.title = `${String(to.meta.title ?? 'Mellisca')} · Mellisca`
})
