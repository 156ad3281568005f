import { MatStep, MatStepContent, MatStepper, MatStepperIcon } from '@angular/material/stepper';

/** Steps taken one after the other, each with its name; what is done can be gone back to. */
export const STEPS = [MatStepper, MatStep, MatStepContent, MatStepperIcon] as const;
