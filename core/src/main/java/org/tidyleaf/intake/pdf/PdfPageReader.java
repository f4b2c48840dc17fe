package org.tidyleaf.intake.pdf;

import java.io.IOException;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.EnumSet;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.apache.pdfbox.contentstream.operator.Operator;
import org.apache.pdfbox.contentstream.operator.color.SetNonStrokingColor;
import org.apache.pdfbox.contentstream.operator.color.SetNonStrokingColorN;
import org.apache.pdfbox.contentstream.operator.color.SetNonStrokingColorSpace;
import org.apache.pdfbox.contentstream.operator.color.SetNonStrokingDeviceCMYKColor;
import org.apache.pdfbox.contentstream.operator.color.SetNonStrokingDeviceGrayColor;
import org.apache.pdfbox.contentstream.operator.color.SetNonStrokingDeviceRGBColor;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDFontDescriptor;
import org.apache.pdfbox.pdmodel.graphics.PDXObject;
import org.apache.pdfbox.pdmodel.graphics.color.PDColor;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import org.apache.pdfbox.text.PDFTextStripper;
import org.apache.pdfbox.text.TextPosition;
import org.apache.pdfbox.util.Matrix;
import org.tidyleaf.intake.common.Colors;
import org.tidyleaf.intake.common.SymbolFonts;
import org.tidyleaf.source.Emphasis;

/** Collects the glyphs and images of one page after the other, with their faces and colours. */
final class PdfPageReader extends PDFTextStripper {

    /** Logos and rules smaller than this are ornament. */
    private static final float LEAST_SIDE = 12;

    /** Further ones mean no more. */
    private static final int MOST_SPACES = 3;

    /** In parts of the face's size: letters are drawn so much together or apart. */
    private static final float KERNING = 0.15f;

    /** Longer ones are no ligature. */
    private static final int LONGEST_SIGN = 3;

    private final List<PdfPage.Glyph> glyphs = new ArrayList<>();
    private final List<PdfPage.Picture> pictures = new ArrayList<>();
    private final PdfPictures files = new PdfPictures();
    private final PdfPaths paths = new PdfPaths();
    private float pageHeight;

    /** How each font looks by itself. */
    private final Map<PDFont, EnumSet<Emphasis>> ofFonts = new IdentityHashMap<>();

    private final Deque<Spelled> spelled = new ArrayDeque<>();

    /** Neighbouring glyphs have the same colour, which is long to work out. */
    private PDColor lastColor;

    private boolean lastIsColored;

    /** What a marked sequence of glyphs stands for, and the place of its first glyph. */
    private record Spelled(String text, int from) {}

    PdfPageReader() {
        addOperator(new SetNonStrokingColorSpace(this));
        addOperator(new SetNonStrokingColor(this));
        addOperator(new SetNonStrokingColorN(this));
        addOperator(new SetNonStrokingDeviceRGBColor(this));
        addOperator(new SetNonStrokingDeviceGrayColor(this));
        addOperator(new SetNonStrokingDeviceCMYKColor(this));
        setSuppressDuplicateOverlappingText(true);
    }

    /** @param page counted from 0 */
    PdfPage read(PDDocument document, int page) throws IOException {
        glyphs.clear();
        spelled.clear();
        pictures.clear();
        paths.begin(document.getPage(page).getCropBox().getHeight());
        var box = document.getPage(page).getCropBox();
        pageHeight = box.getHeight();
        setStartPage(page + 1);
        setEndPage(page + 1);
        getText(document);
        List<PdfPage.Mark> marks = new ArrayList<>(paths.painted());
        PdfBands.apply(paths.fills(), glyphs, marks);
        return new PdfPage(
                page, box.getWidth(), box.getHeight(), List.copyOf(glyphs), List.copyOf(pictures), List.copyOf(marks));
    }

    @Override
    protected void processTextPosition(TextPosition position) {
        String unicode = position.getUnicode();
        if (unicode == null || unicode.isEmpty()) {
            return;
        }
        boolean plain = unicode.charAt(0) < 0x80;
        String text =
                plain ? unicode : SymbolFonts.read(face(position), unicode).replace('\u00a0', ' ');
        float x = position.getXDirAdj();
        float y = position.getYDirAdj();
        // With the scale of the page: browsers print at three quarters of what the face's size says.
        float size = Math.max(1, position.getYScale());
        glyphs.add(new PdfPage.Glyph(
                x, y, position.getWidthDirAdj(), size, spacesBefore(x, y, size), text, look(position)));
    }

    /** Counted as far as it matters. */
    private int spacesBefore(float x, float y, float size) {
        int spaces = 0;
        float left = x;
        for (int i = glyphs.size() - 1; i >= 0 && spaces < MOST_SPACES; i--) {
            PdfPage.Glyph before = glyphs.get(i);
            boolean close = before.y() == y && Math.abs(before.right() - left) < KERNING * size;
            if (!close || !before.text().isBlank()) {
                return spaces;
            }
            spaces++;
            left = before.x();
        }
        return spaces;
    }

    /** The font's name without the letters that tell its subset ("ABCDEF+Symbol"). */
    private static String face(TextPosition position) {
        return String.valueOf(position.getFont().getName()).replaceFirst("^[A-Z]{6}\\+", "");
    }

    private Set<Emphasis> look(TextPosition position) {
        Set<Emphasis> look = EnumSet.copyOf(ofFonts.computeIfAbsent(position.getFont(), PdfPageReader::look));
        if (isColored(getGraphicsState().getNonStrokingColor())) {
            look.add(Emphasis.COLOR);
        }
        return look;
    }

    private static EnumSet<Emphasis> look(PDFont face) {
        EnumSet<Emphasis> look = EnumSet.noneOf(Emphasis.class);
        String font = String.valueOf(face.getName()).toLowerCase(Locale.ROOT);
        PDFontDescriptor descriptor = face.getFontDescriptor();
        boolean heavy = descriptor != null && (descriptor.isForceBold() || descriptor.getFontWeight() >= 600);
        if (heavy || font.contains("bold") || font.contains("black") || font.contains("heavy")) {
            look.add(Emphasis.BOLD);
        }
        if (font.contains("italic") || font.contains("oblique") || descriptor != null && descriptor.isItalic()) {
            look.add(Emphasis.ITALIC);
        }
        return look;
    }

    private boolean isColored(PDColor color) {
        if (color != lastColor) {
            lastColor = color;
            lastIsColored = worksOutColored(color);
        }
        return lastIsColored;
    }

    private static boolean worksOutColored(PDColor color) {
        try {
            return Colors.isColored(color.toRGB());
        } catch (IOException | RuntimeException unknown) {
            // A colour that can't be worked out marks nothing.
            return false;
        }
    }

    @Override
    protected void processOperator(Operator operator, List<COSBase> operands) throws IOException {
        if (operator.getName().equals("Do") && !operands.isEmpty() && operands.get(0) instanceof COSName name) {
            image(name);
        }
        spell(operator, operands);
        if (getGraphicsState() != null) {
            paths.take(
                    operator,
                    operands,
                    getGraphicsState().getCurrentTransformationMatrix(),
                    () -> isColored(getGraphicsState().getNonStrokingColor()));
        }
        super.processOperator(operator, operands);
    }

    /** What one glyph stands for by its own word, as ISO 32000-1, 14.9.4 has it, where the font tells another sign. */
    private void spell(Operator operator, List<COSBase> operands) {
        switch (operator.getName()) {
            case "BMC" -> spelled.push(new Spelled("", glyphs.size()));
            case "BDC" -> spelled.push(new Spelled(actualText(operands), glyphs.size()));
            case "EMC" -> {
                Spelled ended = spelled.isEmpty() ? new Spelled("", 0) : spelled.pop();
                boolean one = !ended.text().isEmpty() && glyphs.size() == ended.from() + 1;
                if (one) {
                    glyphs.add(glyphs.remove(ended.from()).withText(ended.text()));
                }
            }
            default -> {}
        }
    }

    /** Empty where the sequence has none, or one of signs that are not printed. */
    private static String actualText(List<COSBase> operands) {
        String text = operands.size() == 2 && operands.get(1) instanceof COSDictionary properties
                ? properties.getString(COSName.ACTUAL_TEXT, "")
                : "";
        boolean printed = text.codePoints()
                .allMatch(sign -> Character.isLetterOrDigit(sign)
                        || Character.getType(sign) == Character.OTHER_SYMBOL
                        || Character.getType(sign) == Character.OTHER_NUMBER);
        return printed && text.length() <= LONGEST_SIGN ? text : "";
    }

    private void image(COSName name) throws IOException {
        if (!getResources().isImageXObject(name)) {
            return;
        }
        PDXObject object = getResources().getXObject(name);
        Matrix place = getGraphicsState().getCurrentTransformationMatrix();
        float width = Math.abs(place.getScalingFactorX());
        float height = Math.abs(place.getScalingFactorY());
        if (object instanceof PDImageXObject image
                && width >= LEAST_SIDE
                && height >= LEAST_SIDE
                && !PdfPictures.isTooLarge(image)) {
            pictures.add(new PdfPage.Picture(
                    place.getTranslateX(),
                    pageHeight - place.getTranslateY() - height,
                    width,
                    height,
                    files.of(image)));
        }
    }
}
