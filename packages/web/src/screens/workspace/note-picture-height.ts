const name = '--picture-height'

/** Tells the page how much of it the picture covers while it stays in sight: what is scrolled to stops beneath it. */
export function notePictureHeight(section: HTMLElement | null): (() => void) | undefined {
  if (!section) return undefined
  const { style } = document.documentElement
  const observer = new ResizeObserver(() => {
    const isInTheWay = getComputedStyle(section).position === 'sticky'
    style.setProperty(name, isInTheWay ? `${section.offsetHeight}px` : '0px')
  })
  observer.observe(section)
  return () => {
    observer.disconnect()
    style.removeProperty(name)
  }
}
