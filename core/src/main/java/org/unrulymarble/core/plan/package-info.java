/** The lesson as a plan: blocks with their doses, worked out for a class in a space, and made into the script of a run. */
package org.unrulymarble.core.plan;
