package org.tidyleaf.source;

/**
 * Where a line stands on a printed page, in points from the page's top left corner.
 *
 * @param page 0-based
 */
public record Box(int page, float left, float top, float right, float bottom) {

    /** The smallest box that holds both; the other's page does not count. */
    public Box with(Box other) {
        return new Box(
                page,
                Math.min(left, other.left),
                Math.min(top, other.top),
                Math.max(right, other.right),
                Math.max(bottom, other.bottom));
    }

    public float width() {
        return right - left;
    }

    public float height() {
        return bottom - top;
    }
}
