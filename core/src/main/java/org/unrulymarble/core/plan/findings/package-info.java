/** What stands against a lesson before it is run: findings with their figures, each with a mend where there is one. */
package org.unrulymarble.core.plan.findings;
