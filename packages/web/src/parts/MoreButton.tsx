import { Button } from './Button'

interface MoreButtonProps {
  /** A list that comes in pages. */
  readonly list: {
    readonly hasNextPage: boolean
    readonly isFetchingNextPage: boolean
    readonly fetchNextPage: () => unknown
  }
  /** What there is more of. */
  readonly label: string
  readonly className?: string
}

/** The next page of a list, where there is one: nothing is cut off without a word. */
export function MoreButton({ list, label, className = '' }: MoreButtonProps) {
  if (!list.hasNextPage) return null
  return (
    <Button
      className={className}
      disabled={list.isFetchingNextPage}
      onClick={() => void list.fetchNextPage()}
    >
      {list.isFetchingNextPage ? 'Fetching …' : label}
    </Button>
  )
}
