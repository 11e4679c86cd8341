import { describe, expect, it } from 'vitest'
import { useHistory } from './history'

describe('a history', () => {
  it('undoes and redoes', () => {
    const history = useHistory('a')
    history.change('b')
    history.change('c')
    history.undo()
    expect(history.current.value).toBe('b')
    history.undo()
    history.undo()
    expect(history.current.value).toBe('a')
    history.redo()
    expect(history.current.value).toBe('b')
    expect([history.canUndo.value, history.canRedo.value]).toEqual([true, true])
  })

  it('forgets what was undone once something else is changed', () => {
    const history = useHistory('a')
    history.change('b')
    history.undo()
    history.change('c')
    expect(history.canRedo.value).toBe(false)
    history.undo()
    expect(history.current.value).toBe('a')
  })

  it('undoes changes of one key together', () => {
    const history = useHistory('')
    history.change('n', 'name')
    history.change('na', 'name')
    history.change('x')
    history.undo()
    expect(history.current.value).toBe('na')
    history.undo()
    expect(history.current.value).toBe('')
  })

  it('counts no change where nothing changed, and starts anew on reset', () => {
    const history = useHistory('a')
    history.change('a')
    expect(history.canUndo.value).toBe(false)
    history.change('b')
    history.reset('z')
    expect([history.current.value, history.canUndo.value]).toEqual(['z', false])
  })
})
