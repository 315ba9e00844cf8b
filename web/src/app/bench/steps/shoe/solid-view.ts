import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  type ElementRef,
  inject,
  input,
  signal,
  viewChild,
} from '@angular/core'
import type { Nail, Plan, Side } from '@crescent/core'
import { solidOf, type SolidPiece } from '@crescent/core/solid'
import {
  AmbientLight,
  BoxGeometry,
  BufferAttribute,
  BufferGeometry,
  Color,
  DirectionalLight,
  EdgesGeometry,
  Group,
  LineBasicMaterial,
  LineSegments,
  Mesh,
  MeshStandardMaterial,
  PerspectiveCamera,
  Scene,
  WebGLRenderer,
} from 'three'
import { TouchBar } from '../../../drawing/touch-bar'
import { TouchGuard } from '../../../drawing/touch-guard'
import { OrbitControls } from 'three/examples/jsm/controls/OrbitControls.js'

/** How dark each kind of piece is; a clip or a plate stands out from the bar it sits on. */
const TONES: Record<SolidPiece['layer'], number> = {
  shoe: 0xaab4be,
  bar: 0xb2bcc6,
  clip: 0x929ca6,
  plate: 0xbcc4cc,
  pad: 0xb09a78,
  fitting: 0x7d868f,
  dressed: 0x4d555d,
}

/** Degrees a key turns the shoe by. */
const KEY_TURN = 10

/** The shoe in three dimensions: turned by touch, mouse or keys, on its ground side or its foot side. */
@Component({
  selector: 'cr-solid-view',
  imports: [TouchBar],
  hostDirectives: [TouchGuard],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="turn" role="group" aria-label="Turn the shoe">
      <button type="button" class="tap" (click)="show('ground')">Ground side</button>
      <button type="button" class="tap" (click)="show('foot')">Foot side</button>
      <button type="button" class="tap" (click)="show('toe')">From the toe</button>
    </div>
    @if (failure()) {
      <p class="note" role="alert">{{ failure() }}</p>
    }
    <canvas
      #canvas
      tabindex="0"
      role="img"
      [attr.aria-label]="label()"
      [attr.data-drawn]="drawn()"
      (keydown)="key($event)"
    ></canvas>
    <p class="note">
      Drag or use the arrow keys to turn it, two fingers, the wheel or + and − to come nearer.
    </p>
    <cr-touch-bar class="no-print" />
  `,
  styleUrl: './views.scss',
  styles: `
    .turn {
      display: flex;
      gap: 6px;
      justify-content: center;
      flex-wrap: wrap;
    }
    canvas {
      flex: 1;
      min-height: 0;
      width: 100%;
      cursor: grab;
    }
    canvas:focus-visible {
      outline: 3px solid var(--ember);
      outline-offset: -3px;
    }
  `,
})
export class SolidView {
  readonly plan = input.required<Plan>()
  readonly side = input.required<Side>()

  private readonly canvas = viewChild.required<ElementRef<HTMLCanvasElement>>('canvas')
  protected readonly failure = signal('')
  /** Triangles that stand in the picture: for those who wait for it. */
  protected readonly drawn = signal(0)
  private readonly ready = signal(false)
  private readonly touch = inject(TouchGuard)
  private readonly solids = computed(() => solidOf(this.plan()))

  private renderer?: WebGLRenderer
  private controls?: OrbitControls
  private readonly scene = new Scene()
  private readonly camera = new PerspectiveCamera(32, 1, 10, 3000)
  private shoe = new Group()

  protected readonly label = computed(
    () =>
      `The shoe in three dimensions: ${this.solids()
        .map(({ label }) => label.toLowerCase())
        .join(', ')}. Arrow keys turn it.`,
  )

  constructor() {
    const destroy = inject(DestroyRef)
    afterNextRender(() => {
      const canvas = this.canvas().nativeElement
      try {
        this.renderer = new WebGLRenderer({ canvas, antialias: true, alpha: true })
      } catch {
        this.failure.set('This browser cannot draw in three dimensions; the other views show the same shoe.')
        return
      }
      this.controls = new OrbitControls(this.camera, canvas)
      this.controls.enablePan = false
      this.controls.addEventListener('change', () => this.paint())
      this.scene.add(new AmbientLight(0xffffff, 1.5))
      for (const [x, y, z, strength] of [
        [200, -260, 420, 2.2],
        [-260, 200, -380, 1.6],
        [-300, -100, 160, 0.8],
      ] as const) {
        const light = new DirectionalLight(0xffffff, strength)
        light.position.set(x, y, z)
        this.scene.add(light)
      }
      const watcher = new ResizeObserver(() => this.resize())
      watcher.observe(canvas)
      destroy.onDestroy(() => watcher.disconnect())
      this.resize()
      this.show('ground')
      this.ready.set(true)
    })
    effect(() => {
      if (this.ready()) this.build(this.solids())
    })
    effect(() => {
      // Asleep, a finger up or down scrolls the page; sideways it turns the shoe all the same.
      if (this.ready()) this.canvas().nativeElement.style.touchAction = this.touch.awake() ? 'none' : 'pan-y'
    })
    destroy.onDestroy(() => {
      this.clear()
      this.controls?.dispose()
      this.renderer?.dispose()
    })
  }

  /** Puts the solids into the scene, y ahead of the toe away from the eye, the foot side up. */
  private build(solids: readonly SolidPiece[]): void {
    this.clear()
    // From above, toe ahead, the outside of a left foot lies on the left.
    const mirror = this.side().startsWith('L') ? -1 : 1
    let triangles = 0
    for (const { mesh, layer } of solids) {
      const geometry = new BufferGeometry()
      const corners = new Float32Array(mesh.corners.flatMap(([x, y, z]) => [x * mirror, y, z]))
      geometry.setAttribute('position', new BufferAttribute(corners, 3))
      // The mirror image of a solid faces inward unless its triangles are walked the other way.
      const order = mirror === 1 ? mesh.triangles : mesh.triangles.slice().reverse()
      geometry.setIndex(order)
      const flat = geometry.toNonIndexed()
      flat.computeVertexNormals()
      const tone = new Color(TONES[layer])
      this.shoe.add(
        new Mesh(
          flat,
          new MeshStandardMaterial({ color: tone, roughness: 0.55, metalness: 0.25, flatShading: true }),
        ),
      )
      this.shoe.add(
        new LineSegments(
          new EdgesGeometry(geometry, 38),
          new LineBasicMaterial({ color: 0x2c333a, transparent: true, opacity: 0.55 }),
        ),
      )
      geometry.dispose()
      triangles += mesh.triangles.length / 3
    }
    for (const nail of this.plan().nails) this.shoe.add(this.hole(nail, mirror))
    this.scene.add(this.shoe)
    this.paint()
    this.drawn.set(triangles)
  }

  /** A hole as it is seen: a dark slot on either face, along the rim. */
  private hole({ x, y }: Nail, mirror: number): Mesh {
    const { foot, cuts } = this.plan()
    const high = cuts[0]!.form.thickness + 0.2
    const slot = new Mesh(new BoxGeometry(6, 2.8, high), new MeshStandardMaterial({ color: 0x14181c }))
    slot.position.set(x * mirror, y, high / 2 - 0.1)
    // Square to the line from the middle of the foot, as the holes of the drawing.
    slot.rotation.z = Math.atan2(y - (foot.widestFromToe - foot.length / 2) * 0.2, x * mirror) + Math.PI / 2
    return slot
  }

  private clear(): void {
    this.shoe.traverse((one) => {
      if (one instanceof Mesh || one instanceof LineSegments) {
        ;(one.geometry as BufferGeometry).dispose()
        ;(one.material as MeshStandardMaterial).dispose()
      }
    })
    this.scene.remove(this.shoe)
    const turned = this.shoe.rotation.clone()
    this.shoe = new Group()
    // A figure was changed: the shoe stays as it was turned.
    this.shoe.rotation.copy(turned)
  }

  private resize(): void {
    const { clientWidth, clientHeight } = this.canvas().nativeElement
    if (clientWidth === 0 || clientHeight === 0) return
    this.renderer?.setPixelRatio(Math.min(2, devicePixelRatio))
    this.renderer?.setSize(clientWidth, clientHeight, false)
    this.camera.aspect = clientWidth / clientHeight
    this.camera.updateProjectionMatrix()
    this.paint()
  }

  protected show(from: 'ground' | 'foot' | 'toe'): void {
    const { foot } = this.plan()
    const away = foot.width * 2.2
    const middle = foot.widestFromToe - foot.length / 2
    const [x, y, z] = {
      ground: [0, middle - away * 0.45, -away * 0.9],
      foot: [0, middle - away * 0.55, away * 0.85],
      toe: [away * 0.35, middle + away * 0.85, away * 0.4],
    }[from] as [number, number, number]
    this.shoe.rotation.set(0, 0, 0)
    // Upright on the screen is away from the eye over the toe, or up where it is looked at from the toe.
    this.camera.up.set(0, from === 'toe' ? 0 : 1, from === 'toe' ? 1 : 0.001)
    this.camera.position.set(x, y, z)
    this.controls?.target.set(0, middle, 0)
    this.controls?.update()
    this.paint()
  }

  protected key(event: KeyboardEvent): void {
    const turn = (KEY_TURN * Math.PI) / 180
    const way = {
      ArrowLeft: [0, turn],
      ArrowRight: [0, -turn],
      ArrowUp: [turn, 0],
      ArrowDown: [-turn, 0],
    }[event.key]
    const nearer = { '+': 0.9, '=': 0.9, '-': 1.1 }[event.key]
    if (!way && !nearer) return
    event.preventDefault()
    if (way) {
      this.shoe.rotation.x += way[0]!
      this.shoe.rotation.z += way[1]!
    }
    if (nearer) this.camera.position.multiplyScalar(nearer)
    this.controls?.update()
    this.paint()
  }

  private paint(): void {
    this.renderer?.render(this.scene, this.camera)
  }
}
