package org.tidyleaf.intake.pdf;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.tidyleaf.intake.common.MathSigns;
import org.tidyleaf.intake.pdf.PdfPage.Glyph;
import org.tidyleaf.intake.pdf.PdfPage.Mark;

/**
 * Formulas of a page, put together from where their signs stand: over and under a bar is a fraction, under the bar of a
 * root sign its radicand, small signs over and under a sum its limits. Each becomes one glyph whose text is LaTeX.
 */
final class PdfFormulas {

    /** In points: a longer bar parts more than a formula, a shorter one is a dot. */
    private static final float LONGEST_BAR = 260;

    private static final float SHORTEST_BAR = 2.5f;

    /** All others in parts of the size of the letters: how far the middles of a fraction's halves may lie from the bar's. */
    private static final float OFF_MIDDLE = 0.25f;

    /** An underline is nearer to the foot of its letters than a fraction's bar to its upper half. */
    private static final float CLOSE_BELOW = 0.2f;

    private static final float SAME_PLACE = 0.1f;

    /** By so much of its size a bar may be nearer to what stands above it than to what stands below. */
    private static final float LOPSIDED = 0.2f;

    private static final int FEWEST_OF_WORD = 3;

    /** How near text of the same line must stand to a bar's end to make it an underline. */
    private static final float NEIGHBOUR = 0.8f;

    /** Signs whose baselines are nearer than this stand on one line. */
    private static final float LINE = 0.6f;

    /** Scripts are smaller than this share of what they stand behind, and so near to it. */
    private static final float SCRIPT = 0.85f;

    private static final float NEXT = 0.2f;

    private static final float ABOVE_BAR = 0.8f;
    private static final float BELOW_BAR = 0.6f;

    /** How far the axis of a formula, where its bars stand, is above the line of its letters. */
    private static final float AXIS = 0.25f;

    /** A page with more of them is a drawing. */
    private static final int MOST_UPRIGHTS = 1000;

    private final PdfPage page;
    private final List<Glyph> glyphs;
    private final Set<Glyph> built = new HashSet<>();
    private final List<Mark> bars;
    private final Set<Mark> used = new HashSet<>();

    private PdfFormulas(PdfPage page, List<PdfTables.Table> tables) {
        this.page = page;
        this.glyphs = new ArrayList<>(page.glyphs());
        List<Mark> uprights = page.marks().stream()
                .filter(mark -> mark.width() <= Mark.THIN && mark.height() > 2 * Mark.THIN)
                .limit(MOST_UPRIGHTS)
                .toList();
        this.bars = page.marks().stream()
                .filter(mark -> mark.height() <= PdfPage.Mark.THIN
                        && mark.width() >= SHORTEST_BAR
                        && mark.width() <= LONGEST_BAR
                        && tables.stream().noneMatch(table -> PdfRules.holds(table, mark))
                        && !isEdge(uprights, mark))
                .sorted(Comparator.comparingDouble(Mark::width))
                .toList();
    }

    /** A highlighted word lies on a rectangle, whose edges are no bars: at both of their ends others go up or down. */
    private static boolean isEdge(List<Mark> uprights, Mark bar) {
        return endsAt(uprights, bar, bar.left()) && endsAt(uprights, bar, bar.right());
    }

    private static boolean endsAt(List<Mark> uprights, Mark bar, float end) {
        return uprights.stream()
                .anyMatch(mark -> Math.abs(mark.left() - end) <= Mark.THIN
                        && (Math.abs(mark.top() - bar.top()) <= Mark.THIN
                                || Math.abs(mark.bottom() - bar.top()) <= Mark.THIN));
    }

    /** The page with its formulas as single glyphs; their bars are no rules any more. */
    static PdfPage apply(PdfPage page, List<PdfTables.Table> tables) {
        boolean nothing = page.marks().isEmpty()
                && page.glyphs().stream().noneMatch(glyph -> PdfFormulaRun.isMathLetter(glyph.text()));
        return nothing ? page : new PdfFormulas(page, tables).build();
    }

    private PdfPage build() {
        for (Mark bar : bars) {
            if (!root(bar)) {
                fraction(bar);
            }
        }
        for (Glyph sign : List.copyOf(glyphs)) {
            if (sign.text().equals("\u2211") || sign.text().equals("\u220f")) {
                limits(sign);
            }
        }
        List<Glyph> merged = PdfFormulaRun.merge(glyphs, built);
        List<Mark> marks =
                page.marks().stream().filter(mark -> !used.contains(mark)).toList();
        return new PdfPage(page.number(), page.width(), page.height(), merged, page.pictures(), marks);
    }

    private boolean root(Mark bar) {
        Optional<Glyph> sign = glyphs.stream()
                .filter(glyph -> glyph.text().equals("\u221a")
                        && Math.abs(glyph.right() - bar.left()) < 0.4f * glyph.size()
                        && bar.top() > glyph.y() - 1.6f * glyph.size()
                        && bar.top() < glyph.y() + 0.3f * glyph.size())
                .findFirst();
        if (sign.isEmpty()) {
            return false;
        }
        List<Glyph> inside = within(bar, sign.get()).stream()
                .filter(glyph -> glyph.y() > bar.top() + 0.1f * glyph.size() && glyph.y() < foot(sign.get(), bar))
                .toList();
        if (inside.isEmpty()) {
            return false;
        }
        List<Glyph> all = new ArrayList<>(inside);
        all.add(sign.get());
        Glyph base = PdfFormulaRun.base(inside);
        replace(all, "\\sqrt{" + PdfFormulaRun.latex(inside) + "}", base.y(), base.size());
        used.add(bar);
        return true;
    }

    /** How far down a radicand may stand: to the foot of the root sign, which some fonts hang from its bar. */
    private static float foot(Glyph sign, Mark bar) {
        boolean hangs = sign.y() - bar.top() < 0.5f * sign.size();
        return hangs ? bar.top() + 2.2f * sign.size() : sign.y() + 0.35f * sign.size();
    }

    private void fraction(Mark bar) {
        List<Glyph> above = new ArrayList<>();
        List<Glyph> below = new ArrayList<>();
        for (Glyph glyph : within(bar, null)) {
            float size = glyph.size();
            float gap = bar.top() - bottom(glyph);
            float room = top(glyph) - bar.top();
            if (gap > -0.1f * size && gap < ABOVE_BAR * size) {
                above.add(glyph);
            } else if (room > -0.2f * size && room < BELOW_BAR * size) {
                below.add(glyph);
            }
        }
        keepNearest(above, bar);
        keepNearest(below, bar);
        addScripts(above, bar);
        addScripts(below, bar);
        if (isUnderline(above, bar)) {
            return;
        }
        if (hangsAbove(above, below, bar)) {
            return;
        }
        boolean both = isCentred(above, bar) && isCentred(below, bar) && isAlone(above, bar) && isAlone(below, bar);
        if (!both) {
            return;
        }
        List<Glyph> all = new ArrayList<>(above);
        all.addAll(below);
        float size = Math.max(
                PdfFormulaRun.base(above).size(), PdfFormulaRun.base(below).size());
        String latex = "\\frac{" + PdfFormulaRun.latex(above) + "}{" + PdfFormulaRun.latex(below) + "}";
        replace(all, latex, bar.top() + AXIS * size, size);
        used.add(bar);
    }

    /** A line as wide as the words above it and close below their letters sets them apart and parts nothing. */
    private static boolean isUnderline(List<Glyph> above, Mark bar) {
        if (above.size() < FEWEST_OF_WORD || above.stream().anyMatch(glyph -> !isOfWords(glyph))) {
            return false;
        }
        Glyph base = PdfFormulaRun.base(above);
        float left = (float) above.stream().mapToDouble(Glyph::x).min().orElseThrow();
        float right = (float) above.stream().mapToDouble(Glyph::right).max().orElseThrow();
        return bar.top() - base.y() < CLOSE_BELOW * base.size()
                && Math.abs(left - bar.left()) < SAME_PLACE * base.size()
                && Math.abs(right - bar.right()) < SAME_PLACE * base.size();
    }

    /** A fraction's bar stands in the middle; one close below a line of text, with the next line farther off, underlines. */
    private boolean hangsAbove(List<Glyph> above, List<Glyph> below, Mark bar) {
        if (above.isEmpty() || below.isEmpty()) {
            return false;
        }
        Glyph upper = PdfFormulaRun.base(above);
        float over = bar.top() - bottom(upper);
        float under = top(PdfFormulaRun.base(below)) - bar.top();
        return under - over > LOPSIDED * upper.size();
    }

    private static boolean isOfWords(Glyph glyph) {
        return glyph.text().chars().allMatch(sign -> Character.isLetter(sign) || "'\u2019-,.".indexOf(sign) >= 0);
    }

    /** Of signs on several lines, those on the line next to the bar. */
    private static void keepNearest(List<Glyph> part, Mark bar) {
        part.stream()
                .min(Comparator.comparingDouble(glyph -> Math.abs(glyph.y() - bar.top())))
                .ifPresent(nearest -> part.removeIf(
                        glyph -> Math.abs(glyph.y() - nearest.y()) > LINE * Math.max(glyph.size(), nearest.size())));
    }

    /** Small signs right behind one of a fraction's half, a little higher or lower. */
    private void addScripts(List<Glyph> part, Mark bar) {
        for (Glyph glyph : within(bar, null)) {
            boolean script = part.stream()
                    .anyMatch(base -> glyph.size() < SCRIPT * base.size()
                            && Math.abs(glyph.x() - base.right()) < NEXT * base.size()
                            && Math.abs(glyph.y() - base.y()) < LINE * base.size());
            if (script && !part.contains(glyph)) {
                part.add(glyph);
            }
        }
    }

    private List<Glyph> within(Mark bar, @Nullable Glyph without) {
        return glyphs.stream()
                .filter(glyph -> glyph != without
                        && !glyph.text().isBlank()
                        && glyph.x() + glyph.width() / 2 >= bar.left() - 1
                        && glyph.x() + glyph.width() / 2 <= bar.right() + 1)
                .toList();
    }

    private float bottom(Glyph glyph) {
        return built.contains(glyph) ? glyph.y() + 0.6f * glyph.size() : glyph.y();
    }

    private float top(Glyph glyph) {
        return glyph.y() - (built.contains(glyph) ? 1.2f : 0.68f) * glyph.size();
    }

    private static boolean isCentred(List<Glyph> part, Mark bar) {
        if (part.isEmpty()) {
            return false;
        }
        float left = (float) part.stream().mapToDouble(Glyph::x).min().orElseThrow();
        float right = (float) part.stream().mapToDouble(Glyph::right).max().orElseThrow();
        float size = PdfFormulaRun.base(part).size();
        return left > bar.left() - OFF_MIDDLE * size
                && right < bar.right() + OFF_MIDDLE * size
                && Math.abs(left + right - bar.left() - bar.right()) / 2 < OFF_MIDDLE * size;
    }

    /** A line of text that runs on beside the bar is underlined, or only happens to stand below an underlined word. */
    private boolean isAlone(List<Glyph> part, Mark bar) {
        Glyph base = PdfFormulaRun.base(part);
        float reach = NEIGHBOUR * base.size();
        return glyphs.stream()
                .filter(glyph -> !part.contains(glyph)
                        && !glyph.text().isBlank()
                        && Math.abs(glyph.y() - base.y()) < 0.15f * base.size())
                .filter(glyph -> glyph.right() > bar.left() - reach && glyph.x() < bar.right() + reach)
                .allMatch(this::hasBarOfItsOwn);
    }

    private boolean hasBarOfItsOwn(Glyph glyph) {
        return bars.stream()
                .anyMatch(bar -> bar.left() - 1 <= glyph.x()
                        && glyph.right() <= bar.right() + 1
                        && Math.abs(bar.top() - glyph.y() + 0.3f * glyph.size()) < 1.2f * glyph.size());
    }

    /** The small signs over and under a sum or product. */
    private void limits(Glyph sign) {
        float middle = sign.x() + sign.width() / 2;
        List<Glyph> over = new ArrayList<>();
        List<Glyph> under = new ArrayList<>();
        for (Glyph glyph : glyphs) {
            boolean near = Math.abs(glyph.x() + glyph.width() / 2 - middle) < sign.width() / 2 + 0.5f * sign.size();
            boolean small = glyph.size() <= 0.85f * sign.size() && !glyph.text().isBlank();
            float above = sign.y() - glyph.y();
            if (near && small && above > 0.6f * sign.size() && above < 1.8f * sign.size()) {
                over.add(glyph);
            } else if (near && small && above < -0.25f * sign.size() && above > -1.6f * sign.size()) {
                under.add(glyph);
            }
        }
        if (over.isEmpty() && under.isEmpty()) {
            return;
        }
        List<Glyph> all = new ArrayList<>(over);
        all.addAll(under);
        all.add(sign);
        String latex = MathSigns.latex(sign.text())
                + (under.isEmpty() ? "" : "_{" + PdfFormulaRun.latex(under) + "}")
                + (over.isEmpty() ? "" : "^{" + PdfFormulaRun.latex(over) + "}");
        replace(all, latex + " ", sign.y(), sign.size());
    }

    private void replace(List<Glyph> parts, String latex, float y, float size) {
        glyphs.removeAll(parts);
        float left = (float) parts.stream().mapToDouble(Glyph::x).min().orElseThrow();
        float right = (float) parts.stream().mapToDouble(Glyph::right).max().orElseThrow();
        Glyph beside = beside(left, right, y, size);
        Glyph formula = new Glyph(
                left,
                beside == null ? y : beside.y(),
                right - left,
                beside == null ? size : beside.size(),
                parts.get(0).spaces(),
                latex,
                parts.get(0).look());
        glyphs.add(formula);
        built.add(formula);
    }

    /** The nearest sign on the same line, whose baseline is that of the formula too. */
    private @Nullable Glyph beside(float left, float right, float y, float size) {
        return glyphs.stream()
                .filter(glyph -> !glyph.text().isBlank()
                        && Math.abs(glyph.y() - y) < 0.35f * Math.max(size, glyph.size())
                        && glyph.size() >= size * 0.95f)
                .filter(glyph -> glyph.x() < right + 3 * size && glyph.right() > left - 3 * size)
                .min(Comparator.comparingDouble(
                        glyph -> Math.min(Math.abs(glyph.x() - right), Math.abs(left - glyph.right()))))
                .orElse(null);
    }
}
