using System.Buffers.Binary;

namespace FaithfulBracket.Formats.Photos;

/// <summary>
/// A picture as it is kept: the image and which way is up, nothing about where or with what it was taken. Its sizes are
/// those of the upright picture.
/// </summary>
public sealed record KeptPhoto(byte[] Content, string MediaType, string Extension, int WidthPx, int HeightPx);

/// <summary>Tells a picture by its content, bounds its pixels, and leaves out every block of descriptive data.</summary>
public static class PhotoIntake
{
    private const long MaxPixels = 50_000_000;
    private static readonly byte[] PngHead = [0x89, 0x50, 0x4E, 0x47, 0x0D, 0x0A, 0x1A, 0x0A];

    /// <returns>Null when it is no JPEG or PNG, broken, or too large.</returns>
    public static KeptPhoto? Read(ReadOnlySpan<byte> data)
    {
        var photo =
            data.StartsWith(PngHead) ? Png(data)
            : data.Length > 4 && data[0] == 0xFF && data[1] == 0xD8 ? Jpeg(data)
            : null;
        return photo is { WidthPx: > 0, HeightPx: > 0 } && (long)photo.WidthPx * photo.HeightPx <= MaxPixels
            ? photo
            : null;
    }

    /// <summary>Keeps the chunks that make the image (PNG specification, third edition).</summary>
    private static KeptPhoto? Png(ReadOnlySpan<byte> data)
    {
        using var kept = new MemoryStream();
        kept.Write(data[..8]);
        int width = 0,
            height = 0;
        for (var at = 8; at + 12 <= data.Length; )
        {
            var length = BinaryPrimitives.ReadUInt32BigEndian(data[at..]);
            if (length > int.MaxValue || at + 12 + (long)length > data.Length)
                return null;
            var name = System.Text.Encoding.ASCII.GetString(data.Slice(at + 4, 4));
            if (name == "IHDR" && length >= 8)
                (width, height) = (
                    BinaryPrimitives.ReadInt32BigEndian(data[(at + 8)..]),
                    BinaryPrimitives.ReadInt32BigEndian(data[(at + 12)..])
                );
            if (name is "IHDR" or "PLTE" or "IDAT" or "IEND" or "tRNS" or "gAMA" or "cHRM" or "sRGB" or "iCCP")
                kept.Write(data.Slice(at, 12 + (int)length));
            if (name == "IEND")
                return new(kept.ToArray(), "image/png", ".png", width, height);
            at += 12 + (int)length;
        }
        return null;
    }

    /// <summary>
    /// Keeps tables, frames and scans (ITU-T T.81), the JFIF head and which way is up; drops all other application data
    /// and comments.
    /// </summary>
    private static KeptPhoto? Jpeg(ReadOnlySpan<byte> data)
    {
        using var kept = new MemoryStream();
        kept.Write(data[..2]);
        int width = 0,
            height = 0,
            turn = 1;
        for (var at = 2; at + 4 <= data.Length; )
        {
            if (data[at] != 0xFF)
                return null;
            var marker = data[at + 1];
            if (marker == 0xFF)
            {
                at++;
                continue;
            }
            var length = BinaryPrimitives.ReadUInt16BigEndian(data[(at + 2)..]);
            if (length < 2 || at + 2 + length > data.Length)
                return null;
            if (marker is >= 0xC0 and <= 0xCF and not (0xC4 or 0xC8 or 0xCC) && length >= 7)
                (height, width) = (
                    BinaryPrimitives.ReadUInt16BigEndian(data[(at + 5)..]),
                    BinaryPrimitives.ReadUInt16BigEndian(data[(at + 7)..])
                );
            if (marker == 0xE1 && turn == 1 && ExifOrientation.Read(data.Slice(at + 4, length - 2)) is > 1 and var told)
            {
                turn = told;
                kept.Write(ExifOrientation.Segment(turn));
            }
            var describes = marker is (>= 0xE1 and <= 0xEF and not 0xEE) or 0xFE;
            if (!describes)
                kept.Write(data.Slice(at, 2 + length));
            at += 2 + length;
            if (marker != 0xDA)
                continue;
            kept.Write(data[at..]);
            return ExifOrientation.IsLying(turn)
                ? new(kept.ToArray(), "image/jpeg", ".jpg", height, width)
                : new(kept.ToArray(), "image/jpeg", ".jpg", width, height);
        }
        return null;
    }
}
