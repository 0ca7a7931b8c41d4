/**
 * Rows of numbers cut from large pieces of memory: hundreds of small typed arrays a run, each with memory of its own, take
 * longer to make than a fifth of the run. Contract: every row is zero and nobody else's. A row must not be sent to a thread
 * (its whole piece would go with it): what leaves a run is a copy (`slice`).
 */
const PIECE_BYTES = 40 * 1024;

export class Rows {
  private piece = new ArrayBuffer(PIECE_BYTES);
  private used = 0;

  private take(bytes: number): number {
    const whole = (bytes + 7) & ~7;
    if (this.used + whole > this.piece.byteLength) {
      this.piece = new ArrayBuffer(Math.max(PIECE_BYTES, whole));
      this.used = 0;
    }
    const at = this.used;
    this.used += whole;
    return at;
  }

  f64(n: number): Float64Array {
    const at = this.take(8 * n);
    return new Float64Array(this.piece, at, n);
  }

  i32(n: number): Int32Array {
    const at = this.take(4 * n);
    return new Int32Array(this.piece, at, n);
  }

  u8(n: number): Uint8Array {
    const at = this.take(n);
    return new Uint8Array(this.piece, at, n);
  }
}
