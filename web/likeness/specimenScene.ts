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
    pitch: Math.min(0.75, Math.max(0.24, 0.78 - 0.6 * flat)),
    zoom: 1,
    height: 0.45,
    light: 'sun',
    pulled: false,
  }
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
  const through = { value: 0.35 }
  const material = leafMaterial(through)
  const plant = new Shape(geometry, material)
  plant.castShadow = plant.receiveShadow = shadows
  scene.add(plant)
  const sky = new HemisphereLight(new Color(0.86, 0.93, 1), new Color(0.34, 0.3, 0.22), 1.5)
  const sun = new DirectionalLight(new Color(1, 0.96, 0.88), 3)
  const tall = Math.max(10, high[1])
  const reach = Math.max(tall, high[0], -low[0]) * 1.3
  sun.castShadow = shadows
  sun.shadow.mapSize.set(1024, 1024)
  Object.assign(sun.shadow.camera, { left: -reach, right: reach, top: reach, bottom: -reach, near: 1, far: reach * 6 })
  sun.shadow.bias = -0.0006
  sun.shadow.normalBias = reach * 0.002
  scene.add(sky, sun, sun.target)
  const camera = new PerspectiveCamera(26, 1, 1, 20_000)
  /** How far the eye stands so that all corners of the plant and some of its roots are in the picture. */
  const fitting = (away: Vector3, middle: Vector3): number => {
    const up = Math.tan((camera.fov * Math.PI) / 360)
    const right = new Vector3(0, 1, 0).cross(away).normalize()
    const above = away.clone().cross(right)
    let far = 0
    for (const x of [low[0], high[0]])
      for (const y of [Math.max(low[1], -0.4 * tall, low[1] * 0.6), tall])
        for (const z of [low[2], high[2]]) {
          const p = new Vector3(x, y, z).sub(middle)
          const near = p.dot(away)
          far = Math.max(
            far,
            near + (Math.abs(p.dot(right)) * 1.02) / (up * camera.aspect),
            near + (Math.abs(p.dot(above)) * 1.02) / up,
          )
        }
    // Leaves seldom reach into the corners of the box round them.
    return far * 0.93
  }
  const draw = ({ yaw, pitch, zoom, height, light, pulled }: Look) => {
    geometry.setDrawRange(0, pulled ? 3 * plantTriangles : Infinity)
    const behind = light === 'sky'
    through.value = behind ? 2.4 : 0.35
    sky.intensity = behind ? 0.9 : 1.5
    const away = new Vector3(Math.sin(yaw) * Math.cos(pitch), Math.sin(pitch), Math.cos(yaw) * Math.cos(pitch))
    // Held to the sky the light stands behind it, as the eye looks.
    if (behind) sun.position.copy(away).multiplyScalar(-2 * reach)
    else sun.position.set(Math.sin(yaw - 0.7) * reach * 2, reach * 2.2, Math.cos(yaw - 0.7) * reach * 2)
    sun.target.position.set(0, tall * 0.4, 0)
    const middle = new Vector3(0, low[1] * 0.35 + (tall - low[1] * 0.35) * height, 0)
    const far = fitting(away, middle) / zoom
    camera.position.copy(middle).addScaledVector(away, far)
    camera.lookAt(middle)
    renderer.render(scene, camera)
  }
  return {
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
