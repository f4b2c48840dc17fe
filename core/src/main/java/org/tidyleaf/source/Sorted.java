package org.tidyleaf.source;

import java.util.Collections;
import java.util.Set;
import java.util.TreeSet;

/** Sets that are always gone through in the same order, so that what is written from them is the same on any machine. */
public final class Sorted {

    private Sorted() {}

    /** An unmodifiable copy in natural order. */
    public static <T extends Comparable<? super T>> Set<T> copy(Set<T> set) {
        return Collections.unmodifiableSet(new TreeSet<>(set));
    }
}
