/** The first page: the leaves, what state each is in, where new tests are dropped; the job that reads them. */
@NullMarked
package org.tidyleaf.web.desk;

import org.jspecify.annotations.NullMarked;
