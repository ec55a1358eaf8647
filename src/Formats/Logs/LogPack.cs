using System.IO.Compression;
using FaithfulBracket.Core.Prove.Logs;
using FaithfulBracket.Formats.Words.Logs;

namespace FaithfulBracket.Formats.Logs;

/// <summary>
/// A log as bytes: figures of four bytes, column by column, deflated. An hour at ten a second takes about 1 MB
/// before, 200 kB after.
/// </summary>
public static class LogPack
{
    private const int Version = 1;

    /// <summary>Times are kept to the millisecond.</summary>
    private const double PerSecond = 1000;

    public static byte[] Pack(BenchLog log)
    {
        using var packed = new MemoryStream();
        using (var deflate = new DeflateStream(packed, CompressionLevel.Optimal, leaveOpen: true))
        using (var w = new BinaryWriter(deflate))
        {
            w.Write((byte)Version);
            w.Write(log.TimesS.Count);
            w.Write((byte)log.Series.Count);
            var last = 0L;
            foreach (var t in log.TimesS)
            {
                // steps, not instants: alike steps deflate to nothing
                var now = (long)Math.Round(t * PerSecond);
                w.Write7BitEncodedInt64(now - last);
                last = now;
            }
            foreach (var (channel, values) in log.Series)
            {
                w.Write((byte)channel);
                foreach (var v in values)
                    w.Write((float)v);
            }
        }
        return packed.ToArray();
    }

    /// <exception cref="InvalidDataException">Not a packed log, or of a later version.</exception>
    public static BenchLog Unpack(byte[] content)
    {
        try
        {
            using var deflate = new DeflateStream(new MemoryStream(content), CompressionMode.Decompress);
            using var r = new BinaryReader(deflate);
            if (r.ReadByte() != Version)
                throw new InvalidDataException(LogPackWords.ThisLogWasPackedByLater);
            int rows = r.ReadInt32(),
                series = r.ReadByte();
            if (rows is < 0 or > BenchLog.MaxRows || series > BenchLog.MaxSeries)
                throw new InvalidDataException(LogPackWords.ThisIsNotPackedLog);
            var times = new double[rows];
            var last = 0L;
            for (var i = 0; i < rows; i++)
                times[i] = (last += r.Read7BitEncodedInt64()) / PerSecond;
            var list = new List<LogSeries>(series);
            for (var s = 0; s < series; s++)
            {
                var channel = (Channel)r.ReadByte();
                var values = new double[rows];
                for (var i = 0; i < rows; i++)
                    values[i] = r.ReadSingle();
                list.Add(new(channel, values));
            }
            return new(times, list);
        }
        catch (Exception e) when (e is EndOfStreamException or FormatException)
        {
            throw new InvalidDataException(LogPackWords.ThisLogIsCutOff, e);
        }
    }
}
