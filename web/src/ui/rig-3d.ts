/** The rig in the round, to turn with mouse, touch or arrow keys. Fetched only when asked for. */
import { afterNextRender, ChangeDetectionStrategy, Component, computed, DestroyRef, effect, ElementRef, inject, input, signal } from '@angular/core';
import type { PlacedPiece } from '@tide-pebble/core';
import { Pointer } from '../services/pointer';
import type { Bench } from '../services/workspace';
import { litBy } from './lit';
import { AmbientLight, Box3, type BufferGeometry, Color, DirectionalLight, DoubleSide, Group, Mesh, MeshLambertMaterial, PerspectiveCamera, Raycaster, Scene, Vector2, Vector3, WebGLRenderer } from 'three';
import { placement, solidGeometry } from './solid-geometry';
import { OrbitControls } from 'three/addons/controls/OrbitControls.js';

const COLOUR_TOKEN = { steel: '--steel', wood: '--wood', plastic: '--plastic', rubber: '--rubber', gear: '--slate' } as const;

@Component({
  selector: 'tp-rig-3d',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `@if (fault()) { <p class="wrong">{{ fault() }}</p> }`,
  styles: `
    :host { display: block; height: 100%; min-height: 320px; outline-offset: -3px; }
    p { padding: var(--space-5); }
  `,
  host: { tabindex: '0', role: 'img', 'aria-label': 'The rig in 3D. Arrow keys turn it, plus and minus come nearer and go away.', '(keydown)': 'key($event)', '(pointermove)': 'over($event)', '(pointerleave)': 'pointer.point(null)' },
})
export class Rig3d {
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  protected readonly pointer = inject(Pointer);
  readonly bench = input.required<Bench>();
  private readonly pieces = computed(() => this.bench().judged.evaluation.pieces);
  protected readonly fault = signal('');
  private readonly scene = new Scene();
  private readonly camera = new PerspectiveCamera(35, 1, 0.01, 20);
  private readonly rig = new Group();
  private readonly sea = new Color(getComputedStyle(document.documentElement).getPropertyValue('--sea').trim() || '#12716d');
  private readonly ray = new Raycaster();
  private renderer: WebGLRenderer | null = null;
  private controls: OrbitControls | null = null;
  private seen = '';

  constructor() {
    const destroyed = inject(DestroyRef);
    this.camera.up.set(0, 0, 1);
    this.camera.position.set(0.75, -0.85, 0.35);
    const sun = new DirectionalLight(0xffffff, 2.2);
    sun.position.set(1, -1.4, 2);
    this.scene.add(new AmbientLight(0xffffff, 1.5), sun, this.rig);
    effect(() => {
      this.fill(this.pieces());
      const rig = this.bench().rig.id;
      if (rig !== this.seen) this.lookAt(this.pieces());
      this.seen = rig;
      this.paint();
    });
    effect(() => {
      const lit = litBy(this.pointer.at(), this.bench());
      for (const mesh of this.meshes()) mesh.material.emissive.set(lit.has(String(mesh.userData['owner'])) ? this.sea : 0);
      this.paint();
    });
    afterNextRender(() => this.start(destroyed));
  }

  protected key(event: KeyboardEvent): void {
    const [turn, rise] = ({ ArrowLeft: [-0.15, 0], ArrowRight: [0.15, 0], ArrowUp: [0, 0.06], ArrowDown: [0, -0.06] } as Record<string, [number, number]>)[event.key] ?? [0, 0];
    const nearer = event.key === '+' ? 0.9 : event.key === '-' ? 1.1 : 1;
    if (turn === 0 && rise === 0 && nearer === 1) return;
    event.preventDefault();
    const middle = this.controls?.target ?? new Vector3();
    const from = this.camera.position.clone().sub(middle).applyAxisAngle(new Vector3(0, 0, 1), turn).multiplyScalar(nearer);
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

  private meshes(): Mesh<BufferGeometry, MeshLambertMaterial>[] {
    return this.rig.children as Mesh<BufferGeometry, MeshLambertMaterial>[];
  }

  private start(destroyed: DestroyRef): void {
    const element = this.host.nativeElement;
    try {
      this.renderer = new WebGLRenderer({ antialias: true, alpha: true });
    } catch {
      this.fault.set('This browser has no 3D. The square-on views show the same rig.');
      return;
    }
    element.append(this.renderer.domElement);
    this.controls = new OrbitControls(this.camera, this.renderer.domElement);
    this.lookAt(this.pieces());
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
      observer.disconnect();
      this.controls?.dispose();
      this.renderer?.dispose();
    });
  }

  private fill(pieces: readonly PlacedPiece[]): void {
    for (const mesh of this.meshes()) mesh.geometry.dispose();
    this.rig.clear();
    const style = getComputedStyle(document.documentElement);
    for (const { flat } of pieces) {
      const mesh = new Mesh(solidGeometry(flat.shape), new MeshLambertMaterial({ side: DoubleSide, color: new Color(style.getPropertyValue(COLOUR_TOKEN[flat.look]).trim() || '#888888') }));
      mesh.userData['owner'] = flat.owner;
      mesh.matrixAutoUpdate = false;
      mesh.matrix = placement(flat.at, flat.rotation);
      this.rig.add(mesh);
    }
  }

  /** The whole rig in view: the camera stands off by its size. Done once a rig, so that an edit does not move the onlooker. */
  private lookAt(pieces: readonly PlacedPiece[]): void {
    const box = new Box3();
    for (const mesh of this.meshes()) box.expandByPoint(new Vector3().setFromMatrixPosition(mesh.matrix));
    if (pieces.length === 0 || box.isEmpty()) return;
    const middle = box.getCenter(new Vector3());
    const size = Math.max(0.25, box.getSize(new Vector3()).length());
    this.camera.position.copy(middle).add(new Vector3(0.75, -0.95, 0.45).multiplyScalar(size * 1.35));
    this.controls?.target.copy(middle);
    this.camera.lookAt(middle);
    this.controls?.update();
  }

  private paint(): void {
    this.renderer?.render(this.scene, this.camera);
  }
}
