import { ChangeDetectionStrategy, Component, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { EMPTY, Observable, Subject, throwError } from 'rxjs';
import { Asked, sameParts } from './asked';

@Component({ selector: 'tp-asker', changeDetection: ChangeDetectionStrategy.OnPush, template: '' })
class Asker {
  readonly about = signal<unknown>('one rig');
  readonly asked = new Asked<string>(this.about);
}

describe('what is asked by a press', () => {
  const made = () => {
    const fixture = TestBed.createComponent(Asker);
    const { about, asked } = fixture.componentInstance;
    const answers = new Subject<string>();
    const took: string[] = [];
    let running = 0;
    let tell: (part: { done: number; of: number }) => void = () => undefined;
    const ask = (): void =>
      asked.ask(
        (told) => {
          tell = told;
          return new Observable<string>((listener) => {
            running++;
            const link = answers.subscribe(listener);
            return () => {
              running--;
              link.unsubscribe();
            };
          });
        },
        (found) => took.push(found),
      );
    TestBed.tick();
    return {
      fixture,
      about,
      asked,
      answers,
      took,
      ask,
      tell: (done: number, of: number) => tell({ done, of }),
      running: () => running,
    };
  };

  it('tells how far it is, and keeps the answer', () => {
    const { asked, answers, took, ask, tell } = made();
    expect([asked.kind(), asked.part(), asked.found(), asked.reason()]).toEqual(['notAsked', null, null, '']);
    ask();
    expect([asked.kind(), asked.part()]).toEqual(['working', 0]);
    tell(3, 4);
    expect(asked.part()).toBe(0.75);
    answers.next('done');
    TestBed.tick();
    expect([asked.kind(), asked.part(), asked.found()]).toEqual(['found', null, 'done']);
    expect(took).toEqual(['done']);
  });
  it('stops its work and forgets it when what it is about changes', () => {
    const { about, asked, answers, took, ask, tell, running } = made();
    ask();
    about.set('another rig');
    // Even before the page has drawn: an answer may come at any moment.
    answers.next('of the first');
    tell(1, 2);
    expect([asked.kind(), asked.found(), took.length]).toEqual(['notAsked', null, 0]);
    TestBed.tick();
    expect(running()).toBe(0);
    ask();
    answers.next('of the second');
    expect(took).toEqual(['of the second']);
    about.set('a third');
    expect(asked.found()).toBeNull();
  });
  it('asked again lets go of the first, and may be about what has just changed', () => {
    const { about, asked, answers, took, ask, running } = made();
    ask();
    ask();
    expect(running()).toBe(1);
    about.set('another rig');
    ask();
    TestBed.tick();
    expect([running(), asked.kind()]).toEqual([1, 'working']);
    answers.next('of the other');
    expect(took).toEqual(['of the other']);
  });
  it('says why it failed, and can be stopped', () => {
    const { asked, ask, running, took, answers } = made();
    asked.ask(() => throwError(() => new Error('the computation stopped')));
    expect([asked.kind(), asked.reason(), asked.found()]).toEqual(['failed', 'the computation stopped', null]);
    ask();
    expect(asked.reason()).toBe('');
    asked.stop();
    answers.next('late');
    expect([asked.kind(), running(), took.length]).toEqual(['notAsked', 0, 0]);
    asked.ask(() => EMPTY);
    expect(asked.kind()).toBe('notAsked');
  });
  it('ends with its owner', () => {
    const { fixture, ask, running, took, answers } = made();
    ask();
    fixture.destroy();
    answers.next('late');
    expect([running(), took.length]).toEqual([0, 0]);
  });
  it('compares several things one by one', () => {
    const wants = {};
    expect(sameParts([1, wants], [1, wants])).toBeTrue();
    expect(sameParts([1, wants], [1, {}])).toBeFalse();
    expect(sameParts([1], [1, undefined])).toBeFalse();
  });
});
