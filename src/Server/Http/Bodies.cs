using System.Text.Json;
using FaithfulBracket.Core;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Server.Words.Http;
using Microsoft.AspNetCore.Http.Features;

namespace FaithfulBracket.Server.Http;

/// <summary>Reads request bodies field by field, bounded, with a pointer to every fault.</summary>
internal static class Bodies
{
    /// <summary>Parses the body, reads it, and refuses unknown fields.</summary>
    /// <exception cref="MalformedJsonException">No JSON.</exception>
    /// <exception cref="InputException">Broken rules.</exception>
    public static async Task<T> ReadAsync<T>(HttpRequest request, Func<ObjectReader, T> read)
    {
        using var json = JsonInput.Parse(await BytesAsync(request, JsonInput.MaxBytes));
        var faults = new List<InputFault>();
        var o = new ObjectReader(json.RootElement, "", faults);
        var value = read(o);
        o.End();
        return faults.Count > 0 ? throw new InputException(faults) : value;
    }

    /// <summary>What is poured away of a body that is refused, so that its sender is still there to read why.</summary>
    private const long MaxPouredBytes = 256L * 1024 * 1024;

    private const long StrangersMost = 1 << 16;

    private static readonly TimeSpan LongestPouring = TimeSpan.FromSeconds(10);

    /// <summary>A body that says beforehand that it is too large is refused before it is read.</summary>
    public static Task RefuseLargeAsync(HttpContext context, RequestDelegate next)
    {
        var limit = context.Features.Get<IHttpMaxRequestBodySizeFeature>();
        if (limit is not { MaxRequestBodySize: { } most, IsReadOnly: false } || !(context.Request.ContentLength > most))
            return next(context);
        // what a stranger sends is not even read to be thrown away
        if (most > StrangersMost)
            limit.MaxRequestBodySize = null;
        throw TooLarge(most);
    }

    private static BadHttpRequestException TooLarge(long most)
    {
        const int kibi = 1024,
            mebi = kibi * kibi;
        var limit =
            most >= mebi ? $"{most / mebi} MiB"
            : most >= kibi ? $"{most / kibi} KiB"
            : $"{most} bytes";
        return new(BodiesWords.BodyIsLarger(limit), StatusCodes.Status413PayloadTooLarge);
    }

    /// <summary>Reads the rest of a refused body and forgets it.</summary>
    public static async Task DiscardAsync(HttpRequest request)
    {
        using var stop = CancellationTokenSource.CreateLinkedTokenSource(request.HttpContext.RequestAborted);
        stop.CancelAfter(LongestPouring);
        try
        {
            var chunk = new byte[1 << 16];
            long poured = 0;
            for (int n; poured < MaxPouredBytes && (n = await request.Body.ReadAsync(chunk, stop.Token)) > 0; )
                poured += n;
        }
        catch (Exception e) when (e is IOException or OperationCanceledException or BadHttpRequestException)
        {
            // who stops sending, or sends without end, is answered all the same
        }
    }

    public static async Task<ReadOnlyMemory<byte>> BytesAsync(HttpRequest request, int most)
    {
        using var buffer = new MemoryStream();
        var chunk = new byte[81920];
        int n;
        while ((n = await request.Body.ReadAsync(chunk, request.HttpContext.RequestAborted)) > 0)
        {
            if (buffer.Length + n > most)
                throw TooLarge(most);
            buffer.Write(chunk, 0, n);
        }
        return buffer.ToArray();
    }
}
