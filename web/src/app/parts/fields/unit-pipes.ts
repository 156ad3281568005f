import { inject, Pipe, type PipeTransform } from '@angular/core';
import { amountText, areaText, durationText, lengthText, percentText } from '@aurantia/core';
import { WorkshopMemory } from '../../services/workshop';

/* Each words a figure of the core in the workshop's units. Impure, so that a change of units shows at once. */

@Pipe({ name: 'length', pure: false })
export class LengthPipe implements PipeTransform {
  private readonly units = inject(WorkshopMemory).units;
  transform = (mm: number): string => lengthText(mm, this.units());
}

@Pipe({ name: 'area', pure: false })
export class AreaPipe implements PipeTransform {
  private readonly units = inject(WorkshopMemory).units;
  transform = (cm2: number): string => areaText(cm2, this.units());
}

@Pipe({ name: 'amount', pure: false })
export class AmountPipe implements PipeTransform {
  private readonly units = inject(WorkshopMemory).units;
  transform = (ml: number, gramsPerMl: number): string => amountText(ml, this.units(), gramsPerMl);
}

@Pipe({ name: 'share' })
export class SharePipe implements PipeTransform {
  transform = (share: number, digits = 0): string => percentText(share, digits);
}

@Pipe({ name: 'minutes' })
export class MinutesPipe implements PipeTransform {
  transform = (minutes: number): string => durationText(minutes);
}
