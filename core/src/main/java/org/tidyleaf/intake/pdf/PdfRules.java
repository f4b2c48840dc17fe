package org.tidyleaf.intake.pdf;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.tidyleaf.source.Emphasis;

/** Level rules among the text: under words they underline, beside words they are a gap, in rows of their own to write on. */
final class PdfRules {

    /** In points: a shorter rule is a dash or a fraction's bar. */
    private static final float SHORTEST = 22;

    /** In points: rules with an upright one at their end are a frame. */
    private static final float SHORTEST_SIDE = 6;

    /** Rules to write on come in series; one alone parts a heading from the text. */
    private static final int SERIES = 2;

    /** In points: a higher frame holds more than a word. */
    private static final float HIGHEST_FRAME = 26;

    /** In sizes of letters above the baseline: between them a rule strikes letters out. */
    private static final float LOWEST_STROKE = 0.15f;

    private static final float HIGHEST_STROKE = 0.45f;

    private static final String BLANK = "________";

    /** What is left of a rule beside the words that were written on it. */
    private static final String RULED = "___";

    /** In sizes of the face: so much of a rule stays free before and behind words that were written on it. */
    private static final float FREE = 0.6f;

    private static final float CLOSE = 0.1f;

    private PdfRules() {}

    /** The page's glyphs, underlined where a rule runs below them, with blanks where a rule stands alone. */
    static List<PdfPage.Glyph> apply(PdfPage page, List<PdfTables.Table> tables) {
        List<PdfPage.Glyph> glyphs = new ArrayList<>(page.glyphs());
        List<PdfPage.Mark> alone = new ArrayList<>();
        for (PdfPage.Mark rule : page.marks()) {
            boolean level = !rule.drawn() && rule.height() <= PdfPage.Mark.THIN && rule.width() >= 4;
            boolean frame = page.marks().stream()
                    .anyMatch(other ->
                            other.height() > SHORTEST_SIDE && other.height() > other.width() && other.isNear(rule, 3));
            if (!level || frame || tables.stream().anyMatch(table -> holds(table, rule))) {
                continue;
            }
            List<Integer> over = new ArrayList<>();
            boolean struck = false;
            for (int i = 0; i < glyphs.size(); i++) {
                PdfPage.Glyph glyph = glyphs.get(i);
                if (isOver(glyph, rule) && !glyph.text().isBlank()) {
                    glyphs.set(i, underlined(glyph));
                    over.add(i);
                } else if (isThrough(glyph, rule)) {
                    glyphs.set(i, set(glyph, Emphasis.STRIKE));
                    struck = true;
                }
            }
            filled(glyphs, over, rule);
            if (over.isEmpty() && !struck && rule.width() >= SHORTEST) {
                alone.add(rule);
            }
        }
        blanks(page, glyphs, alone);
        frames(page, glyphs, tables);
        return glyphs;
    }

    /** A rule that begins well before its words and ends well behind them was there to write on, and they are what was written. */
    private static void filled(List<PdfPage.Glyph> glyphs, List<Integer> over, PdfPage.Mark rule) {
        if (over.isEmpty()) {
            return;
        }
        int firstAt = over.get(0);
        int lastAt = over.get(0);
        for (int at : over) {
            firstAt = glyphs.get(at).x() < glyphs.get(firstAt).x() ? at : firstAt;
            lastAt = glyphs.get(at).right() > glyphs.get(lastAt).right() ? at : lastAt;
        }
        PdfPage.Glyph first = glyphs.get(firstAt);
        PdfPage.Glyph last = glyphs.get(lastAt);
        float before = first.x() - rule.left();
        float behind = rule.right() - last.right();
        if (before < FREE * first.size() || behind < FREE * last.size()) {
            return;
        }
        glyphs.set(firstAt, closer(first));
        // What stands right behind the rule is parted from it by nothing but the blanks on it.
        for (int i = 0; i < glyphs.size(); i++) {
            PdfPage.Glyph next = glyphs.get(i);
            if (next.y() == last.y() && Math.abs(next.x() - rule.right()) < CLOSE * next.size()) {
                glyphs.set(i, closer(next));
            }
        }
        glyphs.add(new PdfPage.Glyph(rule.left(), first.y(), before, first.size(), 0, RULED, Set.of()));
        glyphs.add(new PdfPage.Glyph(last.right(), last.y(), behind, last.size(), 0, RULED, Set.of()));
    }

    /** The glyph without spaces before it. */
    private static PdfPage.Glyph closer(PdfPage.Glyph glyph) {
        return new PdfPage.Glyph(glyph.x(), glyph.y(), glyph.width(), glyph.size(), 0, glyph.text(), glyph.look());
    }

    static boolean holds(PdfTables.Table table, PdfPage.Mark rule) {
        return rule.left() >= table.xs().get(0) - 3
                && rule.right() <= table.xs().get(table.xs().size() - 1) + 3
                && rule.top() >= table.top() - 3
                && rule.bottom() <= table.ys().get(table.ys().size() - 1) + 3
                && table.ys().stream().anyMatch(y -> Math.abs(y - rule.top()) < 3);
    }

    private static boolean isOver(PdfPage.Glyph glyph, PdfPage.Mark rule) {
        float middle = glyph.x() + glyph.width() / 2;
        float below = rule.top() - glyph.y();
        return rule.left() <= middle && middle <= rule.right() && below > -1 && below < glyph.size() * 0.35f;
    }

    /** Whether the rule runs through the middle of a letter. */
    private static boolean isThrough(PdfPage.Glyph glyph, PdfPage.Mark rule) {
        float middle = glyph.x() + glyph.width() / 2;
        float above = (glyph.y() - (rule.top() + rule.bottom()) / 2) / glyph.size();
        return rule.left() <= middle
                && middle <= rule.right()
                && above > LOWEST_STROKE
                && above < HIGHEST_STROKE
                && Character.isLetterOrDigit(glyph.text().codePointAt(0));
    }

    /** A frame around a word or two sets them apart like a marker pen. */
    private static void frames(PdfPage page, List<PdfPage.Glyph> glyphs, List<PdfTables.Table> tables) {
        List<PdfPage.Mark> level = page.marks().stream()
                .filter(mark -> !mark.drawn() && mark.height() <= PdfPage.Mark.THIN && mark.width() >= 6)
                .filter(mark -> tables.stream().noneMatch(table -> holds(table, mark)))
                .toList();
        for (PdfPage.Mark top : level) {
            if (page.glyphs().stream().anyMatch(glyph -> !glyph.text().isBlank() && isOver(glyph, top))) {
                // It underlines the line above, as the other does the one below.
                continue;
            }
            for (PdfPage.Mark bottom : level) {
                float height = bottom.top() - top.top();
                boolean frame = Math.abs(top.left() - bottom.left()) < 3
                        && Math.abs(top.right() - bottom.right()) < 3
                        && height > 6
                        && height < HIGHEST_FRAME
                        && top.width() < page.width() / 3;
                for (int i = 0; frame && i < glyphs.size(); i++) {
                    PdfPage.Glyph glyph = glyphs.get(i);
                    float middle = glyph.x() + glyph.width() / 2;
                    if (top.left() <= middle
                            && middle <= top.right()
                            && top.top() < glyph.y()
                            && glyph.y() <= bottom.top() + 1) {
                        glyphs.set(i, set(glyph, Emphasis.HIGHLIGHT));
                    }
                }
            }
        }
    }

    private static PdfPage.Glyph underlined(PdfPage.Glyph glyph) {
        return set(glyph, Emphasis.UNDERLINE);
    }

    /** The glyph, looking so as well. */
    static PdfPage.Glyph set(PdfPage.Glyph glyph, Emphasis emphasis) {
        Set<Emphasis> look = EnumSet.of(emphasis);
        look.addAll(glyph.look());
        return new PdfPage.Glyph(glyph.x(), glyph.y(), glyph.width(), glyph.size(), glyph.spaces(), glyph.text(), look);
    }

    /** Text between two rules makes them a frame. */
    private static boolean isEmptyBetween(PdfPage page, PdfPage.Mark rule, PdfPage.Mark other) {
        float top = Math.min(rule.top(), other.top());
        float bottom = Math.max(rule.top(), other.top());
        return page.glyphs().stream()
                .filter(glyph -> !glyph.text().isBlank())
                .noneMatch(glyph -> top < glyph.y()
                        && glyph.y() < bottom - 1
                        && rule.left() < glyph.right()
                        && glyph.x() < rule.right());
    }

    private static void blanks(PdfPage page, List<PdfPage.Glyph> glyphs, List<PdfPage.Mark> alone) {
        for (PdfPage.Mark rule : alone) {
            PdfPage.Glyph beside = null;
            boolean borders = false;
            for (PdfPage.Glyph glyph : page.glyphs()) {
                float below = rule.top() - glyph.y();
                boolean level = below > -glyph.size() * 0.3f && below < glyph.size() * 0.5f;
                boolean near = glyph.right() > rule.left() - 120 && glyph.x() < rule.right() + 120;
                beside = level && near && !glyph.text().isBlank() ? glyph : beside;
                float middle = glyph.x() + glyph.width() / 2;
                borders |= beside == glyph && rule.left() <= middle && middle <= rule.right();
            }
            if (borders) {
                // A rule below the whole heading, too far down to underline it.
                continue;
            }
            long like = alone.stream()
                    .filter(other -> other != rule
                            && Math.abs(other.left() - rule.left()) < 4
                            && Math.abs(other.top() - rule.top()) < 40
                            && isEmptyBetween(page, rule, other))
                    .count();
            if (beside != null || like + 1 >= SERIES) {
                float size = beside == null ? 10 : beside.size();
                float y = beside == null ? rule.top() : beside.y();
                glyphs.add(new PdfPage.Glyph(rule.left(), y, rule.width(), size, 0, BLANK, Set.of()));
            }
        }
    }
}
