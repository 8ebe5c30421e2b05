import { inject, Injectable } from '@angular/core';
import { Title } from '@angular/platform-browser';
import { TitleStrategy, type RouterStateSnapshot } from '@angular/router';
import type { Message } from '@lisse/core';
import { Texts } from '../state/texts';

/** Names the page for what is open: the `title` a route has in its data, the innermost first. */
@Injectable({ providedIn: 'root' })
export class PageTitle extends TitleStrategy {
  private readonly title = inject(Title);
  private readonly texts = inject(Texts);

  override updateTitle({ root }: RouterStateSnapshot): void {
    let place: Message | undefined;
    for (let at: typeof root | null = root; at; at = at.firstChild)
      place = (at.data['title'] as Message | undefined) ?? place;
    this.title.setTitle(place ? this.texts.t('page.title', { place }) : 'Lisse');
  }
}
