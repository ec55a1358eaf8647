using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using FaithfulBracket.Core;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Server.Words.Http;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Http.Extensions;

namespace FaithfulBracket.Server.Http;

/// <summary>
/// The one check of who acts, for every writing call: the initials in <c>by</c> (query or body) belong to somebody the
/// workshop knows and who has not left. Handlers receive them as they are stored, whatever case or Unicode form was
/// sent.
/// </summary>
internal sealed class ActorCheck(Signers signers, LocalTimes times)
{
    private const string By = "by";

    public async Task CheckAsync(HttpContext context, RequestDelegate next)
    {
        if (!IsWrite(context.Request))
        {
            await next(context);
            return;
        }
        var first = CheckQuery(context.Request) ?? await CheckBodyAsync(context.Request);
        await next(context);
        // whoever acts first in a workshop that knows nobody yet is known from then on
        if (first is not null && context.Response.StatusCode < StatusCodes.Status300MultipleChoices)
            Enter(first);
    }

    /// <summary>The call is answered by then: what cannot be written now is entered with the next one.</summary>
    private void Enter(string initials)
    {
        try
        {
            signers.Enter(initials);
        }
        catch (Microsoft.Data.Sqlite.SqliteException)
        {
            // nobody is known still
        }
    }

    /// <summary>Whether a call acts for somebody: one that only reads names nobody.</summary>
    private static bool IsWrite(HttpRequest request) =>
        request.Path.StartsWithSegments("/api")
        && !request.Path.StartsWithSegments("/api/compute")
        && (!OwnPages.IsRead(request) || IsNamed(request))
        && !HttpMethods.IsOptions(request.Method);

    /// <summary>Whether the address says who acts.</summary>
    public static bool IsNamed(HttpRequest request) => request.Query.ContainsKey(By);

    /// <returns>Initials that nobody has entered yet; null where they are known, or none were sent.</returns>
    private string? CheckQuery(HttpRequest request)
    {
        if (!request.Query.TryGetValue(By, out var said) || said.Count == 0)
            return null;
        var (known, isNew) = Known(said[0]);
        if (said.Count == 1 && known == said[0])
            return isNew ? known : null;
        var query = new QueryBuilder(
            request
                .Query.Where(q => q.Key != By)
                .SelectMany(q => q.Value, (q, v) => KeyValuePair.Create(q.Key, v ?? ""))
        )
        {
            { By, known },
        };
        request.QueryString = query.ToQueryString();
        return isNew ? known : null;
    }

    private async Task<string?> CheckBodyAsync(HttpRequest request)
    {
        // a larger one is refused where it is read
        if (!request.HasJsonContentType() || request.ContentLength > JsonInput.MaxBytes)
            return null;
        var bytes = await Bodies.BytesAsync(request, JsonInput.MaxBytes);
        // a mark of the byte order is no part of the text
        if (bytes.Span.StartsWith(Encoding.UTF8.Preamble))
            bytes = bytes[Encoding.UTF8.Preamble.Length..];
        request.ContentLength = bytes.Length;
        string? first = null;
        if (Said(bytes.Span) is { } said)
        {
            var (known, isNew) = Known(said);
            first = isNew ? known : null;
            if (known != said)
            {
                var whole = JsonNode.Parse(bytes.Span)!;
                whole[By] = known;
                bytes = JsonSerializer.SerializeToUtf8Bytes(whole);
                request.ContentLength = bytes.Length;
            }
        }
        request.Body = new MemoryStream(bytes.ToArray());
        return first;
    }

    /// <summary>
    /// The text of <c>by</c> at the top of a document; null where there is none, or the text is not valid JSON.
    /// </summary>
    /// <exception cref="InputException">It stands there twice.</exception>
    private static string? Said(ReadOnlySpan<byte> json)
    {
        var reader = new Utf8JsonReader(json);
        string? said = null;
        var times = 0;
        try
        {
            while (reader.Read())
                if (
                    reader is { TokenType: JsonTokenType.PropertyName, CurrentDepth: 1 }
                    && reader.ValueTextEquals("by"u8)
                )
                {
                    reader.Read();
                    times++;
                    if (reader.TokenType == JsonTokenType.String)
                        said = reader.GetString();
                }
            return times > 1 ? throw new InputException("/by", ActorCheckWords.ExpectedByOnce) : said;
        }
        // said where the body is read for its fields
        catch (Exception e) when (e is JsonException or InvalidOperationException)
        {
            return null;
        }
    }

    private (string Initials, bool IsNew) Known(string? by)
    {
        if (Signer.WhyNot(by) is { } fault)
            throw new InputException("/by", fault);
        var initials = Signer.Normalize(by!);
        var all = signers.Entered();
        var found = all.FirstOrDefault(s => Signer.Normalize(s.Initials) == initials);
        if (found is null)
            return all.Count == 0
                ? (initials, true)
                : throw new InputException("/by", ActorCheckWords.IsNotKnownHere(initials));
        return found.LeftAt is { } left
            ? throw new InputException("/by", ActorCheckWords.LeftOnAndCanNoLonger(found.Initials, times.Day(left)))
            : (found.Initials, false);
    }
}
