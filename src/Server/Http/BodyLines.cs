using System.Buffers;
using FaithfulBracket.Core;
using FaithfulBracket.Server.Words.Http;

namespace FaithfulBracket.Server.Http;

/// <summary>A body line by line; no line is longer in memory than it may be.</summary>
internal static class BodyLines
{
    /// <exception cref="InputException">A line is too long.</exception>
    public static async IAsyncEnumerable<ReadOnlyMemory<byte>> ReadAsync(HttpRequest request, int mostBytes)
    {
        var reader = request.BodyReader;
        var cancel = request.HttpContext.RequestAborted;
        for (var line = 1; ; )
        {
            var read = await reader.ReadAsync(cancel);
            var buffer = read.Buffer;
            var lines = new List<ReadOnlyMemory<byte>>();
            var tooLong = false;
            while (!tooLong && buffer.PositionOf((byte)'\n') is { } end)
            {
                tooLong = !Take(buffer.Slice(0, end), lines, mostBytes);
                buffer = buffer.Slice(buffer.GetPosition(1, end));
            }
            if (read.IsCompleted && !buffer.IsEmpty && !tooLong)
            {
                tooLong = !Take(buffer, lines, mostBytes);
                buffer = buffer.Slice(buffer.End);
            }
            tooLong = tooLong || buffer.Length > mostBytes;
            // the reader has to be let go of before anything else may happen
            reader.AdvanceTo(buffer.Start, buffer.End);
            foreach (var l in lines)
            {
                line++;
                yield return l;
            }
            if (tooLong)
                throw new InputException($"/{line - 1}", BodyLinesWords.LineIsLonger(line, mostBytes / 1048576));
            if (read.IsCompleted)
                yield break;
        }
    }

    private static bool Take(ReadOnlySequence<byte> part, List<ReadOnlyMemory<byte>> lines, int mostBytes)
    {
        if (part.Length > mostBytes)
            return false;
        lines.Add(part.ToArray());
        return true;
    }
}
