import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  ElementRef,
  inject,
  input,
  output,
  signal,
  viewChild,
} from '@angular/core';
import { Router } from '@angular/router';
import { say, type Message, type Sayable } from '@lisse/core';
import { Dialog } from 'primeng/dialog';
import { dressed } from '../ui/dressed';
import { Languages } from '../state/language';
import { MAC, Texts } from '../state/texts';
import { ReturnsFocus } from '../ui/returns-focus';
import { JobStore } from '../state/job.store';
import { ViewStore } from '../state/view.store';
import { PAPERS } from '../worker/api';
import { JobFiles } from '../storage/job-files';
import { partsOf, PLACES } from '../places';

interface Deed {
  name: string;
  hint: string;
  words?: string | undefined;
  run: () => void;
}

/** What the keys do, in the order they are wanted; keys that are words are said. */
const KEYS: readonly [Sayable, Message][] = [
  [
    PLACES.map((place) => place.key).join(' '),
    say('keys.places', { places: PLACES.map((place) => place.name) }),
  ],
  [say('keys.find.press', { mac: MAC }), say('keys.find')],
  [say('keys.undo.press', { mac: MAC }), say('keys.undo')],
  [say('keys.redo.press', { mac: MAC }), say('keys.redo')],
  ['← → ↑ ↓', say('keys.arrows')],
  [say('keys.ends.press'), say('keys.ends')],
  ['F B M R', say('keys.kinds')],
  ['[ ]', say('keys.gap')],
  [say('keys.several.press'), say('keys.several')],
  [say('keys.move.press', { mac: MAC }), say('keys.move')],
  [say('keys.board.press'), say('keys.board')],
  ['O', say('keys.opening')],
  ['+ − 0', say('keys.zoom')],
  [say('keys.forget.press'), say('keys.forget')],
  ['Esc', say('keys.esc')],
  [say('keys.enter.press'), say('keys.enter')],
  ['?', say('keys.list')],
];

/** Find or do: rooms, places and actions by a few letters; or the list of keys. */
@Component({
  selector: 'ls-palette',
  hostDirectives: [ReturnsFocus],
  imports: [Dialog],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p-dialog
      [visible]="true"
      [modal]="true"
      [dismissableMask]="true"
      [draggable]="false"
      [resizable]="false"
      [closeAriaLabel]="texts.t('close')"
      position="top"
      [header]="mode() === 'find' ? texts.t('find') : texts.t('keys')"
      (onHide)="closed.emit()"
      (visibleChange)="closed.emit()"
    >
      @if (mode() === 'keys') {
        <dl>
          @for (key of keys; track $index) {
            <dt>{{ texts.say(key[0]) }}</dt>
            <dd>{{ texts.say(key[1]) }}</dd>
          }
        </dl>
      } @else {
        <input
          #box
          type="text"
          role="combobox"
          [attr.aria-label]="texts.t('find')"
          aria-expanded="true"
          aria-controls="deeds"
          [attr.aria-activedescendant]="'deed-' + at()"
          [placeholder]="texts.t('find.hint')"
          (input)="search(box.value)"
          (keydown)="key($event)"
        />
        <ul id="deeds" role="listbox" [attr.aria-label]="texts.t('find.results')">
          @for (deed of found(); track deed.name; let i = $index) {
            <li
              [id]="'deed-' + i"
              role="option"
              [attr.aria-selected]="i === at()"
              tabindex="-1"
              (click)="run(deed)"
              (keydown.enter)="run(deed)"
              (mouseenter)="at.set(i)"
            >
              <span>{{ deed.name }}</span><span class="soft small">{{ deed.hint }}</span>
            </li>
          } @empty {
            <li class="soft" role="option" aria-selected="false">{{ texts.t('find.none') }}</li>
          }
        </ul>
      }
    </p-dialog>
  `,
  styles: `
    :host ::ng-deep .p-dialog {
      width: 460px;
      max-width: 94vw;
    }
    ul {
      margin-top: 8px;
      max-height: 320px;
      overflow: auto;
    }
    li {
      display: flex;
      justify-content: space-between;
      padding: 7px 10px;
      cursor: pointer;
    }
    li[aria-selected='true'] {
      background: var(--wash);
    }
    dl {
      display: grid;
      grid-template-columns: auto 1fr;
      gap: var(--close) var(--gap);
    }
    dt {
      font-weight: 650;
    }
  `,
})
export class Palette {
  protected readonly texts = inject(Texts);
  readonly mode = input.required<'find' | 'keys'>();
  readonly closed = output<void>();

  private readonly jobs = inject(JobStore);
  private readonly view = inject(ViewStore);
  private readonly router = inject(Router);
  private readonly files = inject(JobFiles);
  private readonly languages = inject(Languages);
  private readonly box = viewChild<ElementRef<HTMLInputElement>>('box');

  protected readonly keys = KEYS;
  protected readonly at = signal(0);
  private readonly words = signal('');

  private readonly deeds = computed<Deed[]>(() => {
    const job = this.jobs.job();
    if (!job) return [];
    const go = (path: string) => void this.router.navigate(['/job', job.id, ...path.split('/')]);
    return [
      ...job.rooms.map((room) => ({
        name: room.name,
        hint: this.texts.t('find.room'),
        run: () => {
          this.view.showRoom(room.id);
          go('rooms');
        },
      })),
      ...PLACES.map((place) => ({
        name: this.texts.say(place.name),
        hint: this.texts.t('find.place', { key: place.key }),
        run: () => go(place.path),
      })),
      ...PLACES.flatMap((place) =>
        partsOf(place)
          .filter((part) => part.path !== '')
          .map((part) => ({
            name: this.texts.say(part.title ?? part.name),
            hint: this.texts.t('find.part', { place: place.name }),
            words: part.words && this.texts.say(part.words),
            run: () => go(`${place.path}/${part.path}`),
          })),
      ),
      {
        name: this.texts.t('jobs.all'),
        hint: this.texts.t('find.a-place'),
        run: () => void this.router.navigate(['/jobs']),
      },
      {
        name: this.texts.t('undo'),
        hint: this.texts.say(this.jobs.undoLabel() ?? say('find.no-undo')),
        run: () => void this.jobs.undo(),
      },
      {
        name: this.texts.t('redo'),
        hint: this.texts.say(this.jobs.redoLabel() ?? say('find.no-redo')),
        run: () => void this.jobs.redo(),
      },
      {
        name: this.texts.t('find.export'),
        hint: this.texts.t('find.file'),
        run: () => void this.files.exportJob(job),
      },
      { name: this.texts.t('find.print'), hint: this.texts.t('find.paper'), run: () => window.print() },
      {
        name: this.texts.t('find.theme'),
        hint: this.texts.t('find.look'),
        run: () => this.view.setTheme(this.view.theme() === 'site' ? 'light' : 'site'),
      },
      ...PAPERS.filter((size) => size !== this.view.paper()).map((size) => ({
        name: this.texts.t('print.paper', { size }),
        hint: this.texts.t('print.paper.what'),
        run: () => this.view.setPaper(size),
      })),
      ...this.languages
        .all()
        .filter(({ language }) => language !== this.languages.spoken())
        .map(({ language, name }) => ({
          name: this.texts.t('language.use', { name }),
          hint: this.texts.t('language.what'),
          run: () => void this.languages.choose(language),
        })),
    ];
  });

  protected readonly found = computed(() => {
    const words = this.words().toLowerCase().split(/\s+/).filter(Boolean);
    return this.deeds().filter((deed) =>
      words.every((word) => `${deed.name} ${deed.hint} ${deed.words ?? ''}`.toLowerCase().includes(word)),
    );
  });

  constructor() {
    dressed();
    afterNextRender(() => setTimeout(() => this.box()?.nativeElement.focus(), 50));
  }

  protected search(text: string): void {
    this.words.set(text);
    this.at.set(0);
  }

  protected key(event: KeyboardEvent): void {
    const count = this.found().length;
    if (event.key === 'ArrowDown') this.at.set(Math.min(count - 1, this.at() + 1));
    else if (event.key === 'ArrowUp') this.at.set(Math.max(0, this.at() - 1));
    else if (event.key === 'Enter') {
      const deed = this.found()[this.at()];
      if (deed) this.run(deed);
    } else return;
    event.preventDefault();
  }

  protected run(deed: Deed): void {
    this.closed.emit();
    deed.run();
  }
}
