import type { Cup } from './cup';
import { cupKinds, type CupKind, type CupShape } from './cup-kind';
import type { Station } from './station';
import { circumferenceAt } from './wall';

/** One reading of the sheet: what it is called, and where to lay the tape for it. */
export interface MeasuringStep {
  readonly name: string;
  readonly tape: string;
}

/** The readings a maker takes for a kind of cup, lowest first. */
export function measuringSteps(shape: CupShape, count: number): readonly MeasuringStep[] {
  const kind: CupKind = cupKinds[shape];
  const repeated = kind.readings.findIndex((name) => name.endsWith('…'));
  const extra = count - kind.readings.length;
  return kind.readings.flatMap((name, index) => {
    const tape = kind.tape[index];
    if (index !== repeated) return [{ name, tape }];
    const plain = name.slice(0, -1);
    const times = extra + 1;
    return Array.from({ length: Math.max(0, times) }, (_, i) => ({ name: times > 1 ? `${plain} ${i + 1}` : plain, tape }));
  });
}

/**
 * Stations with one more measurement, put in the tallest gap, where the tape would read what the
 * straight wall gives: adding a row never changes the cup until it is measured.
 */
export function withAnotherStation(stations: readonly Station[]): readonly Station[] {
  let widest = 1;
  for (let index = 2; index < stations.length; index += 1) {
    if (stations[index].height - stations[index - 1].height > stations[widest].height - stations[widest - 1].height)
      widest = index;
  }
  const height = Math.round((stations[widest].height + stations[widest - 1].height) / 2);
  const circumference = Math.round(circumferenceAt(stations, height) * 10) / 10;
  return [...stations.slice(0, widest), { height, circumference }, ...stations.slice(widest)];
}

/** The stations that a shape is measured by, kept as far as they serve. */
export function stationsForShape(stations: readonly Station[], shape: CupShape): readonly Station[] {
  const ends = [stations[0], stations[stations.length - 1]];
  switch (shape) {
    case 'straight':
      return ends.map((station) => ({ ...station, circumference: ends[1].circumference }));
    case 'tapered':
    case 'sleeve':
      return ends;
    case 'two-part':
    case 'curved':
      return stations.length > 2 ? stations : withAnotherStation(stations);
    case 'mug':
      return stations;
    case 'stemmed':
      return stations.length >= 5 ? stations : stemmedStations(ends[1]);
  }
}

/** A common stemmed glass under the same rim; nobody can guess a stem from two readings of a cup. */
function stemmedStations(rim: Station): readonly Station[] {
  const tall = Math.max(160, rim.height);
  const round = Math.min(280, Math.max(180, rim.circumference));
  return [
    { height: 0, circumference: Math.round(round * 0.95) },
    { height: 8, circumference: 34 },
    { height: Math.round(tall * 0.42), circumference: 30 },
    { height: Math.round(tall * 0.64), circumference: Math.round(round * 1.08) },
    { height: tall, circumference: round },
  ];
}

/** One reading typed anew. A straight cup has one circumference, so it goes to all. */
export function withReading(cup: Cup, index: number, reading: Partial<Station>): Cup {
  const everywhere = cup.shape === 'straight' && reading.circumference !== undefined;
  const stations = cup.stations.map((station, at) =>
    at === index
      ? { ...station, ...reading }
      : everywhere
        ? { ...station, circumference: reading.circumference ?? station.circumference }
        : station,
  );
  return { ...cup, stations };
}
