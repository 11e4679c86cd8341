package dipstick.core.population;

import java.util.Arrays;

/** Numbers one after another while a column is built. */
final class GrowingInts {
    private int[] numbers = new int[1024];
    private int size;

    void add(int number) {
        if (size == numbers.length) {
            numbers = Arrays.copyOf(numbers, size + (size >> 1));
        }
        numbers[size++] = number;
    }

    /** Adds 0 as often. */
    void addZeros(int count) {
        if (size + count > numbers.length) {
            numbers = Arrays.copyOf(numbers, Math.max(size + count, size + (size >> 1)));
        }
        size += count;
    }

    int get(int index) {
        return numbers[index];
    }

    int size() {
        return size;
    }

    int[] toArray() {
        return Arrays.copyOf(numbers, size);
    }

    /** The numbers in another order: at each place the one that stood at {@code order[place]}. */
    int[] inOrder(int[] order) {
        int[] ordered = new int[order.length];
        for (int i = 0; i < order.length; i++) {
            ordered[i] = numbers[order[i]];
        }
        return ordered;
    }
}
