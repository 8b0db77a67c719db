/** What every capability stands on: errors as problem documents, time, configuration. Knows no capability. */
package org.unrulymarble.server.platform;
