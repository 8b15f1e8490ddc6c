import { Modal } from '../parts/Modal'
import { shortcuts } from './shortcuts'

export default function ShortcutsDialog({ onClose }: { readonly onClose: () => void }) {
  return (
    <Modal title="Shortcuts" open onClose={onClose}>
      <dl className="grid grid-cols-[auto_1fr] gap-x-5 gap-y-2">
        {shortcuts.map(([keys, does]) => (
          <div key={keys} className="contents">
            <dt>
              <kbd className="rounded-sm border border-rule bg-ground px-1.5 py-0.5 text-sm">{keys}</kbd>
            </dt>
            <dd>{does}</dd>
          </div>
        ))}
      </dl>
    </Modal>
  )
}
