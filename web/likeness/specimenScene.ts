import {
  BufferAttribute,
  BufferGeometry,
  Color,
  DirectionalLight,
  DoubleSide,
  HemisphereLight,
  Mesh as Shape,
  MeshStandardMaterial,
  PCFShadowMap,
  PerspectiveCamera,
  Scene,
  Vector3,
  WebGLRenderer,
} from 'three'
import type { Specimen } from '@/core/likeness/specimenOf.ts'

/** How a specimen is looked at. */
export interface Look {
  /** Radians round it, and up or down. */
  yaw: number
  pitch: number
  /** 1: the whole plant fills the picture. */
  zoom: number
  /** Height looked at, as a share of the plant's height above the ground. */
  height: number
  /** Lit by the sun, or held to the sky: the light comes through the leaves. */
  light: 'sun' | 'sky'
  /** Pulled out of the ground. */
  pulled: boolean
}

/** A low plant is looked at from above, as one bends over it; a tall one from the side. */
export function firstLook({ low, high }: Pick<Specimen, 'low' | 'high'>): Look {
  const flat = high[1] / Math.max(1, high[0] - low[0])
  return {
    yaw: 0.25,
    pitch: Math.min(0.75, Math.max(0.34, 0.85 - 0.5 * flat)),
    zoom: 1,
    height: 0.45,
    light: 'sun',
    pulled: false,
  }
}

const SAMPLES = 3000
/** Room round a plant in its picture. */
const MARGIN = 1.05
/** Some of the corners, spread over all of them. */
function sampled(positions: Float32Array): Vector3[] {
  const every = Math.max(1, Math.floor(positions.length / 3 / SAMPLES))
  const out: Vector3[] = []
  for (let i = 0; 3 * i < positions.length; i += every)
    out.push(new Vector3(positions[3 * i], positions[3 * i + 1], positions[3 * i + 2]))
  return out
}

/** Gloss is told for each corner; leaves let some light through. */
function leafMaterial(through: { value: number }): MeshStandardMaterial {
  const material = new MeshStandardMaterial({ vertexColors: true, roughness: 1, metalness: 0, side: DoubleSide })
  material.onBeforeCompile = (shader) => {
    shader.uniforms['through'] = through
    shader.vertexShader = shader.vertexShader
      .replace('#include <common>', 'attribute float gloss;\nvarying float vGloss;\n#include <common>')
      .replace('#include <begin_vertex>', 'vGloss = gloss;\n#include <begin_vertex>')
    shader.fragmentShader = shader.fragmentShader
      .replace('#include <common>', 'varying float vGloss;\nuniform float through;\n#include <common>')
      .replace('#include <roughnessmap_fragment>', 'float roughnessFactor = mix(0.95, 0.28, vGloss);')
      .replace(
        '#include <lights_fragment_end>',
        `#include <lights_fragment_end>
        #if NUM_DIR_LIGHTS > 0
          float behind = max(0.0, dot(-normal, directionalLights[0].direction));
          reflectedLight.directDiffuse += diffuseColor.rgb * diffuseColor.rgb * directionalLights[0].color * behind * through;
        #endif`,
      )
  }
  return material
}

/** How much a hand lens enlarges. */
export const LENS = 10

export interface SpecimenScene {
  /** How much of the plant's own height the picture last drawn takes in, millimetres. */
  millimetresHigh: () => number
  draw: (look: Look) => void
  /** Ten times nearer, what lies under a place of the picture (shares of its width and height), onto another canvas. */
  lens: (look: Look, at: readonly [number, number], onto: HTMLCanvasElement) => void
  resize: (width: number, height: number) => void
  end: () => void
}

/**
 * A specimen on a canvas.
 *
 * @param shadows off where a picture has to be quick
 * @throws Error where the browser draws nothing in three dimensions
 */
export function specimenScene(
  canvas: HTMLCanvasElement,
  { mesh, low, high, plantTriangles }: Specimen,
  shadows = true,
): SpecimenScene {
  const renderer = new WebGLRenderer({ canvas, antialias: true, alpha: true, preserveDrawingBuffer: true })
  renderer.shadowMap.enabled = shadows
  renderer.shadowMap.type = PCFShadowMap
  const scene = new Scene()
  const geometry = new BufferGeometry()
  geometry.setAttribute('position', new BufferAttribute(mesh.positions, 3))
  geometry.setAttribute('normal', new BufferAttribute(mesh.normals, 3))
  geometry.setAttribute('color', new BufferAttribute(mesh.colours, 3))
  geometry.setAttribute('gloss', new BufferAttribute(mesh.gloss, 1))
  geometry.setIndex(new BufferAttribute(mesh.indices, 1))
  const through = { value: 0.45 }
  const material = leafMaterial(through)
  const plant = new Shape(geometry, material)
  plant.castShadow = plant.receiveShadow = shadows
  scene.add(plant)
  const sky = new HemisphereLight(new Color(0.86, 0.93, 1), new Color(0.4, 0.38, 0.26), 2.1)
  const sun = new DirectionalLight(new Color(1, 0.96, 0.88), 2.9)
  const tall = Math.max(10, high[1])
  const reach = Math.max(tall, high[0], -low[0]) * 1.3
  sun.castShadow = shadows
  sun.shadow.mapSize.set(1024, 1024)
  Object.assign(sun.shadow.camera, { left: -reach, right: reach, top: reach, bottom: -reach, near: 1, far: reach * 6 })
  sun.shadow.bias = -0.0006
  sun.shadow.normalBias = reach * 0.002
  scene.add(sky, sun, sun.target)
  const camera = new PerspectiveCamera(26, 1, 1, 20_000)
  const places = sampled(mesh.positions)
  /** Where the eye looks, and from how far, so that all of it is in the picture and in its middle. */
  const fitting = (away: Vector3): { middle: Vector3; far: number } => {
    const up = Math.tan((camera.fov * Math.PI) / 360)
    const right = new Vector3(0, 1, 0).cross(away).normalize()
    const above = away.clone().cross(right)
    const box = [Infinity, -Infinity, Infinity, -Infinity] as [number, number, number, number]
    for (const p of places) {
      const [x, y] = [p.dot(right), p.dot(above)]
      box[0] = Math.min(box[0], x)
      box[1] = Math.max(box[1], x)
      box[2] = Math.min(box[2], y)
      box[3] = Math.max(box[3], y)
    }
    const middle = right
      .clone()
      .multiplyScalar((box[0] + box[1]) / 2)
      .addScaledVector(above, (box[2] + box[3]) / 2)
    // What stands nearer the eye looks larger than it is.
    let far = 0
    for (const p of places) {
      const aside = Math.abs(p.dot(right) - middle.dot(right)) / camera.aspect
      const over = Math.abs(p.dot(above) - middle.dot(above))
      far = Math.max(far, p.dot(away) + Math.max(aside, over) / up)
    }
    return { middle, far: far * MARGIN }
  }
  let shownHigh = 0
  const draw = ({ yaw, pitch, zoom, height, light, pulled }: Look) => {
    geometry.setDrawRange(0, pulled ? 3 * plantTriangles : Infinity)
    const behind = light === 'sky'
    through.value = behind ? 2.4 : 0.45
    sky.intensity = behind ? 1 : 2.1
    const away = new Vector3(Math.sin(yaw) * Math.cos(pitch), Math.sin(pitch), Math.cos(yaw) * Math.cos(pitch))
    // Held to the sky the light stands behind it, as the eye looks.
    if (behind) sun.position.copy(away).multiplyScalar(-2 * reach)
    else sun.position.set(Math.sin(yaw - 0.7) * reach * 2, reach * 2.2, Math.cos(yaw - 0.7) * reach * 2)
    sun.target.position.set(0, tall * 0.4, 0)
    const { middle, far: whole } = fitting(away)
    const far = whole / zoom
    shownHigh = 2 * far * Math.tan((camera.fov * Math.PI) / 360)
    // Brought nearer, the eye goes up and down the plant.
    if (zoom > 1) middle.y += (low[1] * 0.35 + (tall - low[1] * 0.35) * height - middle.y) * (1 - 1 / zoom)
    // Near and far close to the plant: both faces of a leaf lie a fifth of a millimetre apart.
    camera.near = Math.max(1, far - 2.2 * reach)
    camera.far = far + 3 * reach
    camera.updateProjectionMatrix()
    camera.position.copy(middle).addScaledVector(away, far)
    camera.lookAt(middle)
    renderer.render(scene, camera)
  }
  return {
    millimetresHigh: () => shownHigh,
    draw,
    lens: (look, [x, y], onto) => {
      const { width, height } = canvas
      camera.setViewOffset(
        width * LENS,
        height * LENS,
        x * width * LENS - width / 2,
        y * height * LENS - height / 2,
        width,
        height,
      )
      draw(look)
      const context = onto.getContext('2d')
      const side = Math.min(width, height)
      context?.clearRect(0, 0, onto.width, onto.height)
      context?.drawImage(canvas, (width - side) / 2, (height - side) / 2, side, side, 0, 0, onto.width, onto.height)
      camera.clearViewOffset()
      draw(look)
    },
    resize: (width, height) => {
      renderer.setSize(width, height, false)
      camera.aspect = width / height
      camera.updateProjectionMatrix()
    },
    end: () => {
      geometry.dispose()
      material.dispose()
      renderer.dispose()
    },
  }
}
