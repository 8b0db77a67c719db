/** Tasks as ladders of rungs: what to do, what counts, how much, when to go up. Read from YAML and checked on reading. */
package org.unrulymarble.core.ladder;
