import { ref } from 'vue'
import { isSame, means, memberOf, withMember, without, type Member, type Term } from './members'

/** The members of a term set while they are gathered, and those that were looked at and do not belong. */
export function useMembers() {
  const members = ref<Member[]>([])
  const leftOut = ref<Member[]>([])

  function isIn(term: Term): boolean {
    return members.value.some((member) => means(member, term))
  }

  /** Whether it is in by a member that is just this term, so that it can be taken out again. */
  function isTicked(term: Term): boolean {
    return members.value.some((member) => isSame(member, memberOf(term)))
  }

  function isLeftOut(term: Term): boolean {
    return !isIn(term) && leftOut.value.some((member) => means(member, term))
  }

  function add(member: Member) {
    members.value = withMember(members.value, member)
    leftOut.value = without(leftOut.value, member)
  }

  function tick(term: Term) {
    const member = memberOf(term)
    if (isTicked(term)) {
      members.value = without(members.value, member)
    } else {
      add(member)
    }
  }

  function leave(term: Term) {
    const member = memberOf(term)
    if (isLeftOut(term)) {
      leftOut.value = without(leftOut.value, member)
    } else {
      leftOut.value = withMember(leftOut.value, member)
      members.value = without(members.value, member)
    }
  }

  return { members, leftOut, isIn, isTicked, isLeftOut, add, tick, leave }
}
