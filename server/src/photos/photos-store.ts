import { existsSync } from 'node:fs';
import { mkdir, readFile, rename, rm, writeFile } from 'node:fs/promises';
import { makePhotoSchema, type MakePhoto, type PhotoReading } from '@aurantia/core/make';
import { notFound } from '../http/problem';
import type { Store } from '../store/open-store';
import type { KeptPhoto } from './photo-work';
import { PICTURE_SIZES, pictureFile, type PictureSize } from './picture-files';

/** The most photos of other makes that are laid beside one's own. */
const MOST_OTHERS = 60;

/** Photos of makes: pictures in a folder beside the workshop's file, what is known of them in it. */
export class PhotosStore {
  constructor(
    private readonly store: Store,
    private readonly folder: string,
  ) {}

  /** Keeps a photo; it is listed once its picture is whole on the disk. */
  async keep(photo: Pick<MakePhoto, 'id' | 'make' | 'at' | 'coat'>, { large, small, width, height }: KeptPhoto): Promise<void> {
    const { make, id, at, coat } = photo;
    if (!(await this.store.selectFrom('make').where('id', '=', make).select('id').executeTakeFirst())) throw notFound('make');
    // The same one sent twice is there once, and nobody's picture is written over.
    if (await this.store.selectFrom('photo').where('id', '=', id).select('id').executeTakeFirst()) return;
    await mkdir(this.folder, { recursive: true });
    for (const [size, bytes] of [
      ['large', large],
      ['small', small],
    ] as const) {
      const file = this.fileOf(id, size);
      await writeFile(`${file}.part`, bytes);
      await rename(`${file}.part`, file);
    }
    await this.store
      .insertInto('photo')
      .values({ id, make_id: make, at, coat, width, height, reading: null })
      .onConflict((conflict) => conflict.column('id').doNothing())
      .execute();
  }

  /** Those of a make, the first first, and those of the other makes of its design that were read. */
  async of(make: string): Promise<{ photos: MakePhoto[]; others: MakePhoto[] }> {
    const all = () =>
      this.store
        .selectFrom('photo')
        .innerJoin('make', 'make.id', 'photo.make_id')
        .select([
          'photo.id',
          'photo.make_id',
          'photo.at',
          'photo.coat',
          'photo.width',
          'photo.height',
          'photo.reading',
          'make.number',
        ]);
    const own = await all().where('photo.make_id', '=', make).orderBy('photo.at').execute();
    const others = await all()
      .where('photo.make_id', '!=', make)
      .where('photo.reading', 'is not', null)
      .where('make.design_id', '=', ({ selectFrom }) => selectFrom('make').where('id', '=', make).select('design_id'))
      .orderBy('photo.at', 'desc')
      .limit(MOST_OTHERS)
      .execute();
    const photoOf = ({ make_id, reading, ...row }: (typeof own)[number]): MakePhoto =>
      makePhotoSchema.parse({ ...row, make: make_id, reading: reading === null ? null : JSON.parse(reading) });
    return { photos: own.map(photoOf), others: others.map(photoOf) };
  }

  /** @throws ProblemError 404 where it isn't, or its picture went from the folder */
  file(id: string, size: PictureSize): string {
    const file = this.fileOf(id, size);
    if (!existsSync(file)) throw notFound('photo');
    return file;
  }

  /** Small pictures of a make, JPEG, the first first; those that went from the folder are passed over. */
  async pictures(make: string): Promise<Uint8Array[]> {
    const rows = await this.store.selectFrom('photo').where('make_id', '=', make).orderBy('at').select('id').execute();
    const files = rows.map(({ id }) => this.fileOf(id, 'small')).filter((file) => existsSync(file));
    return Promise.all(files.map((file) => readFile(file)));
  }

  /** @throws ProblemError 404 */
  async read(id: string, reading: PhotoReading): Promise<string> {
    const row = await this.store
      .updateTable('photo')
      .set({ reading: JSON.stringify(reading) })
      .where('id', '=', id)
      .returning('make_id')
      .executeTakeFirst();
    if (!row) throw notFound('photo');
    return row.make_id;
  }

  /** @throws ProblemError 404 */
  async remove(id: string): Promise<string> {
    const row = await this.store.deleteFrom('photo').where('id', '=', id).returning('make_id').executeTakeFirst();
    if (!row) throw notFound('photo');
    for (const size of PICTURE_SIZES) await rm(this.fileOf(id, size), { force: true });
    return row.make_id;
  }

  private fileOf(id: string, size: PictureSize): string {
    return pictureFile(this.folder, id, size);
  }
}
