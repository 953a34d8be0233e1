import { REGIONS } from '../../core/measure/region'
import { NEEDS, useBench } from '~/stores/bench'
import { useHistory } from '~/stores/history'
import { useKitchen } from '~/stores/kitchen'
import { useShelf } from '~/stores/shelf'
import { WISHES } from '~/kitchen/wishes'

/** Something that can be done from the kitchen line. */
export interface Action {
  id: string
  label: string
  /** Where it belongs: "recipe", "bench", "kitchen". */
  about: string
  keys?: string
  run: () => unknown
}

const REGION_WORDS = { us: 'US cups', uk: 'British', eu: 'European', au: 'Australian', in: 'Indian' } as const

/** Everything that can be done where the baker stands now. */
export function useActions() {
  const shelf = useShelf()
  const bench = useBench()
  const kitchen = useKitchen()
  const history = useHistory()
  const router = useRouter()
  const route = useRoute()

  return computed<Action[]>(() => {
    const onBench = route.path.startsWith('/bench/') && bench.version
    const recipes: Action[] = shelf.recipes.flatMap((r) =>
      (shelf.versionsOf.get(r.id) ?? []).map((v) => ({
        id: `open-${v.id}`,
        label: v.parentId === null ? r.title : `${r.title} · ${v.name}`,
        about: 'recipe',
        run: () => router.push(`/bench/${v.id}`),
      })),
    )
    const here: Action[] = onBench
      ? [
          ...NEEDS.map((n) => ({
            id: `need-${n.id}`,
            label: bench.setup.goals.includes(n.id) ? `no longer “${n.label}”` : n.label,
            about: 'must be',
            run: () => bench.toggleGoal(n.id),
          })),
          ...WISHES.map((w) => ({
            id: `wish-${w.id}`,
            label: bench.setup.goals.includes(w.id) ? `no longer “${w.label}”` : w.label,
            about: 'rather',
            run: () => bench.toggleGoal(w.id),
          })),
          { id: 'card', label: 'Card of the version as saved', about: 'bench', run: () => router.push(`/card/${bench.version!.id}`) },
        ]
      : []
    return [
      ...here,
      ...(history.past.length
        ? [{ id: 'undo', label: `Undo ${history.next}`, about: 'kitchen', keys: 'Ctrl Z', run: () => history.undo() }]
        : []),
      ...(history.future.length
        ? [{ id: 'redo', label: `Redo ${history.again}`, about: 'kitchen', keys: 'Ctrl Y', run: () => history.redo() }]
        : []),
      ...recipes,
      { id: 'shelf', label: 'To the shelf', about: 'place', keys: 'g s', run: () => router.push('/') },
      ...(kitchen.lastVersion
        ? [
            { id: 'bench', label: 'To the bench', about: 'place', keys: 'g b', run: () => router.push(`/bench/${kitchen.lastVersion}`) },
            {
              id: 'tins',
              label: 'To the tins and the oven',
              about: 'place',
              keys: 'g t',
              run: () => router.push(`/tins/${kitchen.lastVersion}`),
            },
            {
              id: 'finish',
              label: 'To the finish: fill, soak, frost',
              about: 'place',
              keys: 'g f',
              run: () => router.push(`/finish/${kitchen.lastVersion}`),
            },
          ]
        : []),
      ...(kitchen.lastVersion
        ? [
            {
              id: 'counter',
              label: 'To the counter: bake along',
              about: 'place',
              keys: 'g k',
              run: () => router.push(`/counter/${kitchen.lastVersion}`),
            },
          ]
        : []),
      { id: 'clock', label: 'To the clock: plan the day', about: 'place', keys: 'g d', run: () => router.push('/clock') },
      { id: 'book', label: 'To the bake book', about: 'place', keys: 'g o', run: () => router.push('/book') },
      { id: 'table', label: 'To the table: many diets, fewest bakes', about: 'place', keys: 'g a', run: () => router.push('/table') },
      { id: 'cupboard', label: 'To the cupboard', about: 'place', keys: 'g c', run: () => router.push('/cupboard') },
      {
        id: 'settings',
        label: 'To the settings: region, measures, oven, altitude, sound, backup',
        about: 'place',
        keys: 'g e',
        run: () => router.push('/settings'),
      },
      { id: 'licences', label: 'About Kind Crumb, and licences', about: 'place', run: () => router.push('/settings') },
      { id: 'light', label: 'Light colours', about: 'kitchen', run: () => (kitchen.theme = 'light') },
      { id: 'dark', label: 'Dark colours', about: 'kitchen', run: () => (kitchen.theme = 'dark') },
      ...REGIONS.map((r) => ({
        id: `region-${r}`,
        label: `${REGION_WORDS[r]} kitchen: cups, spoons, eggs and names`,
        about: 'kitchen',
        run: () => (kitchen.region = r),
      })),
    ]
  })
}
