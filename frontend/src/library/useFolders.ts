import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed } from 'vue'
import { api, data } from '@/api/http'
import { sentenceOf } from '@/told'
import type { FolderRow } from '@/api/types'
import { useToasts } from '@/composables/useToasts'

export interface Branch extends FolderRow {
  depth: number
  /** The names from the top, for a list to choose from. */
  path: string
}

/** Folders in the order of a tree, each with its depth. */
export function branchesOf(
  folders: readonly FolderRow[],
  parent: number | null = null,
  depth = 0,
  above = '',
): Branch[] {
  return folders
    .filter((folder) => folder.parent === parent)
    .sort((a, b) => a.name.localeCompare(b.name))
    .flatMap((folder) => {
      const path = above ? `${above} / ${folder.name}` : folder.name
      return [{ ...folder, depth, path }, ...branchesOf(folders, folder.id, depth + 1, path)]
    })
}

/** The ids of a folder and of everything inside it. */
export function inside(folders: readonly FolderRow[], id: number): Set<number> {
  const found = new Set([id])
  for (const folder of branchesOf(folders)) {
    if (folder.parent !== null && found.has(folder.parent)) found.add(folder.id)
  }
  return found
}

export function useFolders() {
  const client = useQueryClient()
  const { show } = useToasts()
  const query = useQuery({ queryKey: ['folders'], queryFn: () => data(api.GET('/api/sets/folders')) })

  async function change<T>(action: () => Promise<T>): Promise<T | undefined> {
    try {
      const result = await action()
      await client.invalidateQueries({ queryKey: ['folders'] })
      await client.invalidateQueries({ queryKey: ['sets'] })
      return result
    } catch (error) {
      show(sentenceOf(error))
    }
  }

  const at = (folder: number) => ({ params: { path: { folder_id: folder } } })
  return {
    branches: computed(() => branchesOf(query.data.value ?? [])),
    folders: query.data,
    make: (name: string, parent: number | null) =>
      change(() => data(api.POST('/api/sets/folders', { body: { name, parent } }))),
    rename: (folder: FolderRow, name: string) =>
      change(() =>
        api.PATCH('/api/sets/folders/{folder_id}', {
          ...at(folder.id),
          body: { name, parent: folder.parent },
        }),
      ),
    move: (folder: FolderRow, parent: number | null) =>
      change(() =>
        api.PATCH('/api/sets/folders/{folder_id}', { ...at(folder.id), body: { name: folder.name, parent } }),
      ),
    remove: (folder: number) => change(() => api.DELETE('/api/sets/folders/{folder_id}', at(folder))),
  }
}
