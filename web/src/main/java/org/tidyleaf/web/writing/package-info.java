/**
 * Drafts of questions from a writing service. The service that ships with the program is a simulation, plainly marked as
 * one; another is reached by its address alone.
 */
@NullMarked
package org.tidyleaf.web.writing;

import org.jspecify.annotations.NullMarked;
