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
import { ReturnsFocus } from '../ui/returns-focus';
import { JobStore } from '../state/job.store';
import { ViewStore } from '../state/view.store';
import { JobFiles } from '../storage/job-files';
import { partsOf, PLACES } from '../places';
import { Dialog } from 'primeng/dialog';

interface Deed {
  name: string;
  hint: string;
  words?: string | undefined;
  run: () => void;
}

const KEYS: readonly [string, string][] = [
  [PLACES.map((place) => place.key).join(' '), PLACES.map((place) => place.name).join(', ')],
  ['Ctrl K', 'find or do anything'],
  ['Ctrl Z', 'undo'],
  ['Ctrl Shift Z', 'redo'],
  ['← → ↑ ↓', 'on the room drawing: from joint to joint'],
  ['Home, End', 'first and last joint'],
  ['F B M R', 'call the joint a flat, a butt, mixed, a recessed butt'],
  ['[ ]', 'its gap narrower, wider'],
  ['Shift with a press, an arrow or a sweep', 'several joints together'],
  ['Alt with an arrow', 'move the butt a stud, or the opening a step'],
  ['Arrows, Enter, Esc', 'on the coat board: from cell to cell, open it, close it'],
  ['O', 'on the drawing: the next opening'],
  ['+ − 0', 'on the drawing: nearer, farther, all of it'],
  ['Delete', 'forget what was measured on it'],
  ['Esc', 'let go of the joint, close a panel'],
  ['Enter', 'take a typed measure'],
  ['?', 'this list'],
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
      closeAriaLabel="Close"
      position="top"
      [header]="mode() === 'find' ? 'Find or do' : 'Keys'"
      (onHide)="closed.emit()"
      (visibleChange)="closed.emit()"
    >
      @if (mode() === 'keys') {
        <dl>
          @for (key of keys; track key[0]) {
            <dt>{{ key[0] }}</dt>
            <dd>{{ key[1] }}</dd>
          }
        </dl>
      } @else {
        <input
          #box
          type="text"
          role="combobox"
          aria-label="Find or do"
          aria-expanded="true"
          aria-controls="deeds"
          [attr.aria-activedescendant]="'deed-' + at()"
          placeholder="A room, a place, or what to do"
          (input)="search($any($event.target).value)"
          (keydown)="key($event)"
        />
        <ul id="deeds" role="listbox" aria-label="Results">
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
            <li class="soft" role="option" aria-selected="false">Nothing by that name.</li>
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
      gap: 6px 20px;
    }
    dt {
      font-weight: 650;
    }
  `,
})
export class Palette {
  readonly mode = input.required<'find' | 'keys'>();
  readonly closed = output<void>();

  private readonly jobs = inject(JobStore);
  private readonly view = inject(ViewStore);
  private readonly router = inject(Router);
  private readonly files = inject(JobFiles);
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
        hint: 'room',
        run: () => {
          this.view.showRoom(room.id);
          go('rooms');
        },
      })),
      ...PLACES.map((place) => ({
        name: place.name,
        hint: `place · ${place.key}`,
        run: () => go(place.path),
      })),
      ...PLACES.flatMap((place) =>
        partsOf(place)
          .filter((part) => part.path !== '')
          .map((part) => ({
            name: part.title ?? part.name,
            hint: `part of ${place.name}`,
            words: part.words,
            run: () => go(`${place.path}/${part.path}`),
          })),
      ),
      { name: 'All jobs', hint: 'place', run: () => void this.router.navigate(['/jobs']) },
      { name: 'Undo', hint: this.jobs.undoLabel() ?? 'nothing to undo', run: () => void this.jobs.undo() },
      { name: 'Redo', hint: this.jobs.redoLabel() ?? 'nothing to redo', run: () => void this.jobs.redo() },
      { name: 'Export this job', hint: 'file', run: () => this.files.exportJob(job) },
      { name: 'Print this place', hint: 'paper', run: () => window.print() },
      {
        name: 'Light or site theme',
        hint: 'look',
        run: () => this.view.setTheme(this.view.theme() === 'site' ? 'light' : 'site'),
      },
    ];
  });

  protected readonly found = computed(() => {
    const words = this.words().toLowerCase().split(/\s+/).filter(Boolean);
    return this.deeds().filter((deed) =>
      words.every((word) => `${deed.name} ${deed.hint} ${deed.words ?? ''}`.toLowerCase().includes(word)),
    );
  });

  constructor() {
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
