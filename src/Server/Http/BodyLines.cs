using System.Buffers;
using FaithfulBracket.Core;

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
            while (buffer.PositionOf((byte)'\n') is { } end)
            {
                yield return Whole(buffer.Slice(0, end), line++, mostBytes);
                buffer = buffer.Slice(buffer.GetPosition(1, end));
            }
            if (read.IsCompleted)
            {
                if (!buffer.IsEmpty)
                    yield return Whole(buffer, line, mostBytes);
                yield break;
            }
            if (buffer.Length > mostBytes)
                throw TooLong(line, mostBytes);
            reader.AdvanceTo(buffer.Start, buffer.End);
        }
    }

    private static ReadOnlyMemory<byte> Whole(ReadOnlySequence<byte> part, int line, int mostBytes) =>
        part.Length > mostBytes ? throw TooLong(line, mostBytes) : part.ToArray();

    private static InputException TooLong(int line, int mostBytes) =>
        new($"/{line - 1}", $"Line {line} is longer than {mostBytes / 1048576} MiB: one document a line.");
}
