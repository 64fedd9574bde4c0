/** A teacher's page numbers its commands, so that one that comes twice counts once. */
import { newId } from '../ids'
import type { DeskCommand, TeacherCommand } from '../types'

export function createOrders(): (command: DeskCommand) => TeacherCommand {
  const page = newId()
  let number = 0
  return (command) => {
    number += 1
    return { id: `${number}`, page, number, command }
  }
}
