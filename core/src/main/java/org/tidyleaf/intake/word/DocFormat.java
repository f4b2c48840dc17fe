package org.tidyleaf.intake.word;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import org.apache.poi.EncryptedDocumentException;
import org.apache.poi.hwpf.HWPFDocument;
import org.apache.poi.hwpf.OldWordFileFormatException;
import org.tidyleaf.intake.IntakeException;
import org.tidyleaf.intake.common.Format;
import org.tidyleaf.intake.common.LineCollector;
import org.tidyleaf.source.Place;
import org.tidyleaf.source.Source;

/** The old binary word-processor format (MS-DOC), by Apache POI. */
public final class DocFormat implements Format {

    @Override
    public String ending() {
        return "doc";
    }

    @Override
    public Source read(String name, byte[] bytes) throws IntakeException {
        try (HWPFDocument document = new HWPFDocument(new ByteArrayInputStream(bytes))) {
            LineCollector lines = new LineCollector();
            DocWalker walker = new DocWalker(document, lines);
            walker.walk(document.getHeaderStoryRange(), Place.HEADER);
            walker.walk(document.getRange(), Place.BODY);
            walker.remainingBoxes();
            walker.walk(document.getFootnoteRange(), Place.FOOTNOTE);
            walker.walk(document.getCommentsRange(), Place.COMMENT);
            return new Source(name, "doc", lines.lines(), walker.figures(), walker.notes());
        } catch (EncryptedDocumentException locked) {
            throw new IntakeException.Locked(name);
        } catch (OldWordFileFormatException older) {
            throw new IntakeException.Unreadable(
                    name + " was written before 1997. Open it in your word processor and save it as .docx.", older);
        } catch (IOException | RuntimeException damaged) {
            // The library answers damaged files with exceptions of many kinds.
            throw new IntakeException.Unreadable(
                    name + " is damaged or no .doc file. Open it in your word processor and save it as .docx.",
                    damaged);
        }
    }
}
