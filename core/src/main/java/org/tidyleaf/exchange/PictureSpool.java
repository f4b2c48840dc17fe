package org.tidyleaf.exchange;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Pictures put aside in a temporary file until they are wanted, so that a test full of them does not fill the memory. */
final class PictureSpool implements AutoCloseable {

    private final List<Long> begins = new ArrayList<>(List.of(0L));

    /** Opened with the first picture; most tests have none. */
    private Optional<FileChannel> file = Optional.empty();

    private FileChannel file() throws IOException {
        if (file.isEmpty()) {
            file = Optional.of(FileChannel.open(
                    Files.createTempFile("tidyleaf-print", ".pictures"),
                    StandardOpenOption.READ,
                    StandardOpenOption.WRITE,
                    StandardOpenOption.DELETE_ON_CLOSE));
        }
        return file.get();
    }

    /** How many there are, which is the place of the next. */
    int size() {
        return begins.size() - 1;
    }

    void add(byte[] picture) {
        try {
            long at = begins.get(size());
            ByteBuffer bytes = ByteBuffer.wrap(picture);
            while (bytes.hasRemaining()) {
                file().write(bytes, at + bytes.position());
            }
            begins.add(at + picture.length);
        } catch (IOException full) {
            throw new UncheckedIOException(full);
        }
    }

    /** @param place counted from 0 */
    byte[] get(int place) {
        try {
            ByteBuffer bytes = ByteBuffer.allocate((int) (begins.get(place + 1) - begins.get(place)));
            while (bytes.hasRemaining() && file().read(bytes, begins.get(place) + bytes.position()) >= 0) {
                // Until all of it is there.
            }
            return bytes.array();
        } catch (IOException lost) {
            throw new UncheckedIOException(lost);
        }
    }

    @Override
    public void close() throws IOException {
        if (file.isPresent()) {
            file.get().close();
        }
    }
}
