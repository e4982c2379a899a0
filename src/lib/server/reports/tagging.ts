import module from 'pdfmake/js/Renderer.js';

/**
 * What a piece of a document is to somebody who has it read out (ISO 32000, 14.8: standard structure types). A tag is one element of
 * the document's tree; whatever carries the same one belongs to it.
 */
export interface Tag {
  readonly type: 'H1' | 'H2' | 'P' | 'L' | 'LI' | 'LBody' | 'Table' | 'TR' | 'TH' | 'TD' | 'Figure' | 'Caption';
  /** The element it stands in; the document itself where left out. */
  readonly within?: Tag;
  /** What is read out instead of a picture. */
  readonly alt?: string;
}

interface Structure {
  add(child: unknown): void;
}
/** What is used of the document that the layout is drawn on. */
interface Drawn {
  readonly options: { readonly tagged?: boolean };
  readonly page: object;
  struct(type: string, options: { readonly alt?: string; readonly scope?: string }): Structure;
  addStructure(element: Structure): void;
  markStructureContent(type: string): unknown;
  markContent(type: 'Artifact', options: { readonly type: string }): void;
  endMarkedContent(): void;
}
interface Drawing {
  readonly pdfDocument: Drawn;
}
type Draw = (this: Drawing, item: never, ...more: never[]) => void;

/** The tree of one document, grown in the order in which its pieces are drawn. */
class Tree {
  private readonly elements = new Map<Tag, Structure>();
  /** The page on which a table's head was drawn first: on the next ones it is only repeated. */
  private readonly heads = new Map<Tag, object>();
  private readonly root: Structure;

  constructor(private readonly doc: Drawn) {
    this.root = doc.struct('Document', {});
    doc.addStructure(this.root);
  }

  private elementOf(tag: Tag): Structure {
    const known = this.elements.get(tag);
    if (known) return known;
    const made = this.doc.struct(tag.type, {
      ...(tag.alt ? { alt: tag.alt } : {}),
      ...(tag.type === 'TH' ? { scope: 'Column' } : {})
    });
    (tag.within ? this.elementOf(tag.within) : this.root).add(made);
    this.elements.set(tag, made);
    return made;
  }

  private repeated(tag: Tag): boolean {
    if (tag.type !== 'TH') return false;
    const first = this.heads.get(tag) ?? this.doc.page;
    this.heads.set(tag, first);
    return first !== this.doc.page;
  }

  draw(tag: Tag | undefined, draw: () => void): void {
    if (tag && !this.repeated(tag)) this.elementOf(tag).add(this.doc.markStructureContent(tag.type));
    else this.doc.markContent('Artifact', { type: tag ? 'Pagination' : 'Layout' });
    draw();
    this.doc.endMarkedContent();
  }
}

const trees = new WeakMap<Drawn, Tree>();

function treeOf(doc: Drawn): Tree {
  const tree = trees.get(doc) ?? new Tree(doc);
  trees.set(doc, tree);
  return tree;
}

interface Line {
  readonly inlines: readonly { readonly tag?: Tag }[];
}
const ofLine = (line: Line): Tag | undefined => line.inlines.find((i) => i.tag)?.tag;
const ofNode = (node: { readonly tag?: Tag }): Tag | undefined => node.tag;
/** Rules, bullets and square codes: what they say is said in words. */
const decoration = (): undefined => undefined;

const tagsOf: Readonly<Record<string, (item: never) => Tag | undefined>> = {
  renderLine: ofLine,
  renderImage: ofNode,
  renderSVG: ofNode,
  renderVector: decoration
};

let told = false;

/**
 * Has every piece that is drawn say what it is, by the `tag` on its text runs, picture or figure; what has none is decoration. The
 * layout library passes `tagged` on and marks nothing itself.
 */
export function tellTags(): void {
  if (told) return;
  told = true;
  const { prototype } = ('default' in module ? module.default : module) as { prototype: Record<string, Draw> };
  for (const [name, tagOf] of Object.entries(tagsOf)) {
    const draw = prototype[name]!;
    prototype[name] = function (this: Drawing, item: never, ...more: never[]): void {
      if (!this.pdfDocument.options.tagged) return draw.call(this, item, ...more);
      treeOf(this.pdfDocument).draw(tagOf(item), () => draw.call(this, item, ...more));
    };
  }
}
