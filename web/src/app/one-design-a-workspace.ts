import { BaseRouteReuseStrategy, type ActivatedRouteSnapshot } from '@angular/router';

/** Another design gets a workspace of its own, so that saves and undo steps of two designs never meet. */
export class OneDesignAWorkspace extends BaseRouteReuseStrategy {
  override shouldReuseRoute(future: ActivatedRouteSnapshot, current: ActivatedRouteSnapshot): boolean {
    return super.shouldReuseRoute(future, current) && future.params['id'] === current.params['id'];
  }
}
