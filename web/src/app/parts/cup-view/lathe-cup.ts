import { cupLight, litField, type FlakeField } from '@aurantia/core';
import {
  AmbientLight,
  BackSide,
  CatmullRomCurve3,
  Color,
  DataTexture,
  DirectionalLight,
  DoubleSide,
  LatheGeometry,
  LinearFilter,
  Mesh,
  MeshBasicMaterial,
  MeshStandardMaterial,
  OrthographicCamera,
  RepeatWrapping,
  RingGeometry,
  Scene,
  SRGBColorSpace,
  TubeGeometry,
  Vector2,
  Vector3,
  WebGLRenderer,
} from 'three';
import { handleLoop, LOOK_DOWN, radiusAt, rimThickness, topOf, type Stance, type Standing } from '@aurantia/core/figure';

const ROUND = 128;

/** The cup as a turned solid on the graphics card, in true proportions from its stations. */
export class LatheCup {
  private readonly renderer: WebGLRenderer;
  private readonly scene = new Scene();
  private readonly camera = new OrthographicCamera();
  private readonly wallMaterial = new MeshStandardMaterial({ roughness: 0.3, metalness: 0 });
  private wall: Mesh | null = null;
  private handle: Mesh | null = null;
  private field: FlakeField | null = null;
  private picture: DataTexture | null = null;
  private pixels = new Uint8ClampedArray(0);
  /** the turn the picture is lit for; null when it has to be lit anew */
  private litAt: number | null = null;
  private readonly furniture: Mesh[] = [];

  /** @throws NoWebGlError where there is no WebGL; the caller then paints flat */
  constructor(canvas: HTMLCanvasElement) {
    this.renderer = rendererOn(canvas);
    this.renderer.setClearColor(new Color(0, 0, 0), 0);
    const window = new DirectionalLight(0xfff6e8, 2.7);
    window.position.set(-2.4, 1.2, 2.4);
    const lamp = new DirectionalLight(0xffffff, 0.5);
    lamp.position.set(3, 0.5, 1.5);
    this.scene.add(new AmbientLight(0xffffff, 1.15), window, lamp);
  }

  /** @param handle hex of its handle, where it has one */
  shape(cup: Standing, handle: string): void {
    this.clear();
    const { stations } = cup;
    const top = topOf(stations);
    const profile = stations.flatMap((station, index) => {
      const next = stations.at(index + 1);
      // A few rings between stations, so that light rolls round the bends.
      return Array.from({ length: next ? 12 : 1 }, (_, step) => {
        const height = next ? station.height + ((next.height - station.height) * step) / 12 : station.height;
        return new Vector2(radiusAt(stations, height), height);
      });
    });
    const geometry = new LatheGeometry(profile, ROUND, Math.PI, 2 * Math.PI);
    const uv = geometry.getAttribute('uv');
    const position = geometry.getAttribute('position');
    for (let i = 0; i < uv.count; i += 1) uv.setY(i, 1 - position.getY(i) / top);
    this.wall = new Mesh(geometry, this.wallMaterial);
    const thick = rimThickness(stations);
    const inside = new Mesh(
      new LatheGeometry(
        profile.map(({ x, y }) => new Vector2(x - thick, y)),
        ROUND,
      ),
      new MeshBasicMaterial({ color: 0x5f666b, side: BackSide }),
    );
    const rim = radiusAt(stations, top);
    const lip = new Mesh(
      new RingGeometry(rim - 1.5 * thick, rim + 0.25 * thick, ROUND),
      new MeshStandardMaterial({ color: 0xd4d8dc, roughness: 0.25, metalness: 0.2, side: DoubleSide }),
    );
    lip.rotation.x = -Math.PI / 2;
    lip.position.y = top + 0.1;
    this.furniture.push(inside, lip);
    this.scene.add(this.wall, inside, lip);
    this.handle = handleMesh(cup, handle);
    if (this.handle) this.scene.add(this.handle);
  }

  /** Lays a picture of flakes round the wall. */
  wrap(field: FlakeField): void {
    this.field = field;
    this.litAt = null;
    const { width, height } = this.picture?.image ?? {};
    if (width === field.width && height === field.height) return;
    this.pixels = new Uint8ClampedArray(field.width * field.height * 4);
    const picture = new DataTexture(this.pixels, field.width, field.height);
    picture.colorSpace = SRGBColorSpace;
    picture.wrapS = RepeatWrapping;
    // The wrap is made as fine as the screen; smaller copies of it would only blur the flakes.
    picture.generateMipmaps = false;
    picture.minFilter = LinearFilter;
    picture.magFilter = LinearFilter;
    this.picture?.dispose();
    this.picture = picture;
    this.wallMaterial.map = picture;
    this.wallMaterial.needsUpdate = true;
  }

  /** Flakes flash by how they face the lights, which stay where they are while the cup turns. */
  private light(turn: number): void {
    if (!this.field || !this.picture || this.litAt === turn) return;
    litField(this.field, cupLight(this.field.width, turn), this.pixels);
    this.picture.needsUpdate = true;
    this.litAt = turn;
  }

  /** Draws the cup at a stance, pixels of the canvas, turned by radians. */
  draw(width: number, height: number, dots: number, stance: Stance, turn: number): void {
    this.renderer.setPixelRatio(dots);
    this.renderer.setSize(width, height, false);
    const { scale, axis, ground } = stance;
    // mm on the plane that faces the eye, the foot's centre at its origin
    this.camera.left = -axis / scale;
    this.camera.right = (width - axis) / scale;
    this.camera.top = ground / scale;
    this.camera.bottom = -(height - ground) / scale;
    this.camera.near = 1;
    this.camera.far = 4000;
    this.camera.position.set(0, 1500 * Math.sin(LOOK_DOWN), 1500 * Math.cos(LOOK_DOWN));
    this.camera.lookAt(0, 0, 0);
    this.camera.updateProjectionMatrix();
    if (this.wall) this.wall.rotation.y = turn;
    if (this.handle) this.handle.rotation.y = turn;
    this.light(turn);
    this.renderer.render(this.scene, this.camera);
  }

  dispose(): void {
    this.clear();
    this.picture?.dispose();
    this.wallMaterial.dispose();
    this.renderer.dispose();
  }

  private clear(): void {
    for (const mesh of [this.wall, this.handle, ...this.furniture]) {
      if (!mesh) continue;
      this.scene.remove(mesh);
      mesh.geometry.dispose();
    }
    this.furniture.length = 0;
    this.wall = null;
    this.handle = null;
  }
}

/** A handle as a round bar along its loop; null of a cup without one. */
function handleMesh(cup: Standing, colour: string): Mesh | null {
  const loop = handleLoop(cup);
  if (!loop) return null;
  const face = ((loop.angle - 180) * Math.PI) / 180;
  const line = loop.line.map(({ out, up }) => new Vector3(out * Math.sin(face), up, out * Math.cos(face)));
  const bar = new TubeGeometry(new CatmullRomCurve3(line), line.length, loop.radius, 20);
  return new Mesh(bar, new MeshStandardMaterial({ color: colour, roughness: 0.3, metalness: 0 }));
}

/** This browser draws no WebGL. */
export class NoWebGlError extends Error {
  override readonly name = 'NoWebGlError';
}

function rendererOn(canvas: HTMLCanvasElement): WebGLRenderer {
  try {
    return new WebGLRenderer({ canvas, alpha: true, antialias: true });
  } catch (error) {
    throw new NoWebGlError('There is no WebGL here.', { cause: error });
  }
}
