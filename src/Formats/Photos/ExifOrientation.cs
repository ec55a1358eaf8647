using System.Buffers.Binary;

namespace FaithfulBracket.Formats.Photos;

/// <summary>Which way a picture is up (tag 0x0112 of Exif 2.32): 1 as stored, 2 to 8 mirrored or turned.</summary>
internal static class ExifOrientation
{
    private const ushort Tag = 0x0112,
        Short = 3;
    private const int MaxEntries = 200;

    /// <summary>Whether the stored picture lies on its side.</summary>
    public static bool IsLying(int orientation) => orientation is >= 5 and <= 8;

    /// <param name="segment">Content of an APP1 segment.</param>
    /// <returns>1 where it says nothing that can be read.</returns>
    public static int Read(ReadOnlySpan<byte> segment)
    {
        if (!segment.StartsWith("Exif\0\0"u8) || segment.Length < 14)
            return 1;
        var tiff = segment[6..];
        var little = tiff[0] == 'I';
        if (!(tiff.StartsWith("II*\0"u8) || tiff.StartsWith("MM\0*"u8)))
            return 1;
        var start = Whole(tiff[4..], little);
        if (start < 8 || start + 2 > tiff.Length)
            return 1;
        var directory = tiff[(int)start..];
        int count = Half(directory, little);
        for (var i = 0; i < Math.Min(count, MaxEntries) && 2 + (i + 1) * 12 <= directory.Length; i++)
        {
            var entry = directory.Slice(2 + i * 12, 12);
            if (Half(entry, little) == Tag && Half(entry[2..], little) == Short)
                return Half(entry[8..], little) is >= 1 and <= 8 and var orientation ? orientation : 1;
        }
        return 1;

        static ushort Half(ReadOnlySpan<byte> b, bool little) =>
            little ? BinaryPrimitives.ReadUInt16LittleEndian(b) : BinaryPrimitives.ReadUInt16BigEndian(b);

        static uint Whole(ReadOnlySpan<byte> b, bool little) =>
            little ? BinaryPrimitives.ReadUInt32LittleEndian(b) : BinaryPrimitives.ReadUInt32BigEndian(b);
    }

    /// <summary>An APP1 segment that says nothing else.</summary>
    public static byte[] Segment(int orientation) =>
        [
            0xFF,
            0xE1,
            0x00,
            0x22,
            .. "Exif\0\0MM\0*"u8,
            .. (ReadOnlySpan<byte>)
                [0, 0, 0, 8, 0, 1, 0x01, 0x12, 0, 3, 0, 0, 0, 1, 0, (byte)orientation, 0, 0, 0, 0, 0, 0],
        ];
}
