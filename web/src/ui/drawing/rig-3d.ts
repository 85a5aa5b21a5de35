/** The rig in the round, to turn with mouse, touch or arrow keys. Fetched only when asked for. */
import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  ElementRef,
  inject,
  input,
  output,
  signal,
  untracked,
} from '@angular/core';
import type { PlacedPiece, Vec3 } from '@tide-pebble/core';
import { Pointer } from '../../services/pointer';
import type { Bench } from '../../services/workspace';
import { litBy } from './lit';
import {
  Box3,
  type BufferGeometry,
  Color,
  Float32BufferAttribute,
  Group,
  Matrix3,
  type Matrix4,
  Mesh,
  MeshBasicMaterial,
  PerspectiveCamera,
  Raycaster,
  Scene,
  Vector2,
  Vector3,
  WebGLRenderer,
} from 'three';
import { placement, solidGeometry } from './solid-geometry';
import { OrbitControls } from 'three/addons/controls/OrbitControls.js';
import { colourOf } from '../colour';

/** Sides of a round thing on the screen, and how long after the last turn it is drawn in fine. */
const SIDES = 20;
const STILL_MS = 180;
const SLOW_MS = 19;
const COARSEST = 0.4;
const HOME: ReadonlyMap<string, Vec3> = new Map();
const NONE: ReadonlySet<string> = new Set();
const COLOUR_TOKEN = {
  steel: '--steel',
  wood: '--wood',
  plastic: '--plastic',
  rubber: '--rubber',
  gear: '--slate',
} as const;

@Component({
  selector: 'tp-rig-3d',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `@if (fault()) {
    <p class="wrong">{{ fault() }}</p>
  }`,
  styles: `
    :host {
      display: block;
      height: 100%;
      min-height: 320px;
      outline-offset: -3px;
    }
    p {
      padding: var(--space-5);
    }
  `,
  host: {
    tabindex: '0',
    role: 'img',
    'aria-label': 'The rig in 3D. Arrow keys turn it, plus and minus come nearer and go away.',
    '(keydown)': 'key($event)',
    '(pointermove)': 'over($event)',
    '(pointerleave)': 'pointer.point(null)',
  },
})
export class Rig3d {
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  protected readonly pointer = inject(Pointer);
  readonly bench = input.required<Bench>();
  /** Pieces that are there, by the element they stand for; null: all. */
  readonly only = input<ReadonlySet<string> | null>(null);
  /** How far pieces are away from where they belong, m. */
  readonly away = input<ReadonlyMap<string, Vec3>>(HOME);
  /** Lit beside what is pointed at. */
  readonly picked = input<ReadonlySet<string>>(NONE);
  /** Of what is looked at: when it changes the onlooker comes to what is there. */
  readonly about = input('');
  /** This browser draws nothing in 3D. */
  readonly failed = output<void>();
  private readonly pieces = computed(() => this.bench().judged.evaluation.pieces);
  protected readonly fault = signal('');
  private readonly scene = new Scene();
  private readonly camera = new PerspectiveCamera(35, 1, 0.01, 20);
  private readonly rig = new Group();
  private readonly sea = new Color(colourOf('--sea'));
  private readonly ray = new Raycaster();
  private renderer: WebGLRenderer | null = null;
  private controls: OrbitControls | null = null;
  private seen = '';
  private coarse = 1;
  private painted = 0;
  private fine: ReturnType<typeof setTimeout> | undefined;

  constructor() {
    const destroyed = inject(DestroyRef);
    this.camera.up.set(0, 0, 1);
    this.camera.position.set(0.75, -0.85, 0.35);
    this.scene.add(this.rig);
    effect(() => {
      this.fill(this.pieces());
      untracked(() => this.put());
      const seen = `${this.bench().rig.id} ${this.about()}`;
      if (seen !== this.seen) untracked(() => this.lookAt());
      this.seen = seen;
      this.paint();
    });
    effect(() => {
      this.put();
      this.paint();
    });
    effect(() => {
      const lit = litBy(this.pointer.at(), this.bench());
      const picked = this.picked();
      this.pieces();
      for (const mesh of this.meshes()) {
        const owner = String(mesh.userData['owner']);
        mesh.material.color.copy(lit.has(owner) || picked.has(owner) ? this.sea : (mesh.userData['colour'] as Color));
      }
      this.paint();
    });
    afterNextRender(() => this.start(destroyed));
  }

  protected key(event: KeyboardEvent): void {
    const [turn, rise] = (
      { ArrowLeft: [-0.15, 0], ArrowRight: [0.15, 0], ArrowUp: [0, 0.06], ArrowDown: [0, -0.06] } as Record<
        string,
        [number, number]
      >
    )[event.key] ?? [0, 0];
    const nearer = event.key === '+' ? 0.9 : event.key === '-' ? 1.1 : 1;
    if (turn === 0 && rise === 0 && nearer === 1) return;
    event.preventDefault();
    const middle = this.controls?.target ?? new Vector3();
    const from = this.camera.position
      .clone()
      .sub(middle)
      .applyAxisAngle(new Vector3(0, 0, 1), turn)
      .multiplyScalar(nearer);
    from.z += rise;
    this.camera.position.copy(from.add(middle));
    this.controls?.update();
    this.paint();
  }

  /** What is under the pointer lights up here and in the lists. */
  protected over({ offsetX, offsetY, buttons }: PointerEvent): void {
    if (buttons !== 0) return;
    const { clientWidth, clientHeight } = this.host.nativeElement;
    this.ray.setFromCamera(new Vector2((offsetX / clientWidth) * 2 - 1, 1 - (offsetY / clientHeight) * 2), this.camera);
    const [hit] = this.ray.intersectObjects(this.rig.children, false);
    this.pointer.point(hit ? String(hit.object.userData['owner']) : null);
  }

  /** Each piece where it is now, and only those that are there. */
  private put(): void {
    const [only, away] = [this.only(), this.away()];
    for (const mesh of this.meshes()) {
      const owner = String(mesh.userData['owner']);
      mesh.visible = only === null || only.has(owner);
      const by = away.get(owner);
      mesh.matrix.copy(mesh.userData['home'] as Matrix4);
      if (by) mesh.matrix.setPosition(new Vector3().setFromMatrixPosition(mesh.matrix).add(new Vector3(...by)));
      // Rays are sent at where it is drawn.
      mesh.matrixWorldNeedsUpdate = true;
    }
  }

  private meshes(): Mesh<BufferGeometry, MeshBasicMaterial>[] {
    return this.rig.children as Mesh<BufferGeometry, MeshBasicMaterial>[];
  }

  private start(destroyed: DestroyRef): void {
    const element = this.host.nativeElement;
    try {
      this.renderer = new WebGLRenderer({ antialias: false, alpha: false });
    } catch {
      this.fault.set('This browser has no 3D. The square-on views show the same rig.');
      this.failed.emit();
      return;
    }
    element.append(this.renderer.domElement);
    this.controls = new OrbitControls(this.camera, this.renderer.domElement);
    this.lookAt();
    this.controls.addEventListener('change', () => this.paint());
    const observer = new ResizeObserver(() => {
      const { clientWidth: width, clientHeight: height } = element;
      this.camera.aspect = width / Math.max(1, height);
      this.camera.updateProjectionMatrix();
      this.renderer?.setSize(width, height);
      this.paint();
    });
    observer.observe(element);
    destroyed.onDestroy(() => {
      clearTimeout(this.fine);
      observer.disconnect();
      this.controls?.dispose();
      this.renderer?.dispose();
    });
  }

  /** Coarse while it turns, so that software rendering keeps up; a moment later once more in fine. */
  private settle(): void {
    clearTimeout(this.fine);
    const now = performance.now();
    const took = now - this.painted;
    this.painted = now;
    // Between two turns more than a frame went by: fewer pixels, until it keeps up.
    if (took > SLOW_MS && took < STILL_MS) this.coarse = Math.max(COARSEST, this.coarse * 0.85);
    this.ratio(this.coarse);
    this.fine = setTimeout(() => {
      this.ratio(2);
      this.renderer?.render(this.scene, this.camera);
    }, STILL_MS);
  }

  private ratio(ratio: number): void {
    if (this.renderer && this.renderer.getPixelRatio() !== ratio) this.renderer.setPixelRatio(ratio);
  }

  private fill(pieces: readonly PlacedPiece[]): void {
    for (const mesh of this.meshes()) mesh.geometry.dispose();
    this.rig.clear();
    this.scene.background = new Color(colourOf('--paper'));
    for (const { flat } of pieces) {
      const geometry = solidGeometry(flat.shape, SIDES, flat.outline);
      const place = placement(flat.at, flat.rotation);
      shade(geometry, place);
      const mesh = new Mesh(
        geometry,
        new MeshBasicMaterial({
          vertexColors: true,
          color: new Color(colourOf(COLOUR_TOKEN[flat.look])),
        }),
      );
      mesh.userData['owner'] = flat.owner;
      mesh.userData['colour'] = mesh.material.color.clone();
      mesh.matrixAutoUpdate = false;
      mesh.userData['home'] = place;
      mesh.matrix.copy(place);
      this.rig.add(mesh);
    }
  }

  /** All that is there in view: the camera stands off by its size. Done once a rig, so that an edit does not move the onlooker. */
  private lookAt(): void {
    const box = new Box3();
    for (const mesh of this.meshes()) {
      if (!mesh.visible) continue;
      mesh.geometry.computeBoundingBox();
      box.union(mesh.geometry.boundingBox!.clone().applyMatrix4(mesh.matrix));
    }
    if (box.isEmpty()) return;
    const middle = box.getCenter(new Vector3());
    const size = Math.max(0.1, box.getSize(new Vector3()).length());
    // Once somebody has turned it, it stays turned.
    const from = this.seen
      ? this.camera.position.clone().sub(this.controls?.target ?? middle)
      : new Vector3(0.75, -0.95, 0.45);
    this.camera.position.copy(middle).add(from.setLength(size * 1.75));
    this.controls?.target.copy(middle);
    this.camera.lookAt(middle);
    this.controls?.update();
  }

  private paint(): void {
    this.settle();
    this.renderer?.render(this.scene, this.camera);
  }
}

/** Where the light comes from, in rig axes, and how much a face turned from it still has. */
const SUN = new Vector3(0.41, -0.57, 0.71);
const SHADE = 0.62;

/**
 * Light laid into the corners once, for it does not move with the onlooker: each pixel is then only filled, which is what
 * rendering in software can do many times a second.
 */
function shade(geometry: BufferGeometry, place: Matrix4): void {
  const normals = geometry.getAttribute('normal');
  const turn = new Matrix3().getNormalMatrix(place);
  const normal = new Vector3();
  const colours = new Float32Array(normals.count * 3);
  for (let i = 0; i < normals.count; i++) {
    normal.fromBufferAttribute(normals, i).applyMatrix3(turn).normalize();
    const towards = normal.dot(SUN);
    colours.fill(SHADE + (1 - SHADE) * Math.max(0, towards) - 0.14 * Math.max(0, -towards), 3 * i, 3 * i + 3);
  }
  geometry.setAttribute('color', new Float32BufferAttribute(colours, 3));
}
