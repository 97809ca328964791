type Kind = Float64ArrayConstructor | Float32ArrayConstructor | Uint8ArrayConstructor | Uint32ArrayConstructor

const FIRST_ROOM = 256

/** Numbers of one kind, ever more of them, without a gap: read `data` up to `length`. */
export class Growing<K extends Kind> {
  data: InstanceType<K>
  length = 0

  constructor(private readonly kind: K) {
    this.data = new kind(FIRST_ROOM) as InstanceType<K>
  }

  /** Makes room for some more and counts them in; the caller writes them from the place that is given back. */
  extend(count: number): number {
    const from = this.length
    this.length += count
    if (this.length > this.data.length) {
      const more = new this.kind(Math.max(this.length, 2 * this.data.length)) as InstanceType<K>
      more.set(this.data)
      this.data = more
    }
    return from
  }

  /** Those that are in use. */
  used(): InstanceType<K> {
    return this.data.subarray(0, this.length) as InstanceType<K>
  }

  /** Puts others in their place. */
  replace(by: ArrayLike<number>): void {
    this.length = 0
    this.extend(by.length)
    this.data.set(by)
  }
}

/** What is known of each corner of a mesh while it is put together, and its triangles. */
export interface Corners {
  positions: Growing<Float64ArrayConstructor>
  normals: Growing<Float32ArrayConstructor>
  colours: Growing<Float64ArrayConstructor>
  gloss: Growing<Float32ArrayConstructor>
  organ: Growing<Uint8ArrayConstructor>
  indices: Growing<Uint32ArrayConstructor>
}
