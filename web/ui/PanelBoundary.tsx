import { Component, type ReactNode } from 'react'
import { say } from '../language/say.ts'

interface Props {
  /** What the panel shows, as its heading says it. */
  name: string
  children: ReactNode
}

/** Keeps an error to the panel it happened in: the others stay, and it is said what is missing. */
export class PanelBoundary extends Component<Props, { failed: boolean }> {
  state = { failed: false }

  static getDerivedStateFromError(): { failed: boolean } {
    return { failed: true }
  }

  render(): ReactNode {
    if (!this.state.failed) return this.props.children
    return (
      <p role="alert" className="mt-4 rounded-xl border-2 border-harm bg-harm-wash px-4 py-3 text-harm">
        {say(
          '{{name}}: this part could not be shown. The rest of the page stands; load it again, and tell whoever looks after the app.',
          {
            name: this.props.name,
          },
        )}
      </p>
    )
  }
}
