package dipstick.server.records;

import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.function.LongConsumer;

/** Tells how many bytes were read so far, for a progress bar. */
final class CountingInputStream extends FilterInputStream {
    private final LongConsumer progress;
    private long count;

    CountingInputStream(InputStream bytes, LongConsumer progress) {
        super(bytes);
        this.progress = progress;
    }

    @Override
    public int read() throws IOException {
        int one = super.read();
        counted(one < 0 ? 0 : 1);
        return one;
    }

    @Override
    public int read(byte[] target, int offset, int length) throws IOException {
        int read = super.read(target, offset, length);
        counted(Math.max(0, read));
        return read;
    }

    private void counted(int bytes) {
        count += bytes;
        progress.accept(count);
    }
}
