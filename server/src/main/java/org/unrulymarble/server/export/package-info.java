/** Everything out in open formats: a school, or one pupil. Each room tells what it keeps. */
package org.unrulymarble.server.export;
