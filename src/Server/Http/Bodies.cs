using System.Text.Json;
using FaithfulBracket.Core;
using FaithfulBracket.Formats.Json;

namespace FaithfulBracket.Server.Http;

/// <summary>Reads request bodies field by field, bounded, with a pointer to every fault.</summary>
internal static class Bodies
{
    /// <summary>Parses the body, reads it, and refuses unknown fields.</summary>
    /// <exception cref="MalformedJsonException">No JSON.</exception>
    /// <exception cref="InputException">Broken rules.</exception>
    public static async Task<T> ReadAsync<T>(HttpRequest request, Func<ObjectReader, T> read)
    {
        using var json = JsonInput.Parse(await BytesAsync(request, JsonInput.MostBytes));
        var faults = new List<InputFault>();
        var o = new ObjectReader(json.RootElement, "", faults);
        var value = read(o);
        o.End();
        return faults.Count > 0 ? throw new InputException(faults) : value;
    }

    public static async Task<ReadOnlyMemory<byte>> BytesAsync(HttpRequest request, int most)
    {
        using var buffer = new MemoryStream();
        var chunk = new byte[81920];
        int n;
        while ((n = await request.Body.ReadAsync(chunk, request.HttpContext.RequestAborted)) > 0)
        {
            if (buffer.Length + n > most)
                throw new BadHttpRequestException(
                    $"The body is larger than {most / 1048576} MiB.",
                    StatusCodes.Status413PayloadTooLarge
                );
            buffer.Write(chunk, 0, n);
        }
        return buffer.ToArray();
    }
}
