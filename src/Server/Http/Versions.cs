using System.Globalization;
using FaithfulBracket.Server.Words.Http;
using Microsoft.Net.Http.Headers;

namespace FaithfulBracket.Server.Http;

/// <summary>Expected versions as entity tags.</summary>
internal static class Versions
{
    /// <summary>The version in If-Match.</summary>
    /// <exception cref="BadHttpRequestException">428 when there is none.</exception>
    public static long Expected(HttpRequest request)
    {
        var tag = request.Headers[HeaderNames.IfMatch].ToString().Trim('"', ' ');
        return long.TryParse(tag, NumberStyles.None, CultureInfo.InvariantCulture, out var v)
            ? v
            : throw new BadHttpRequestException(
                VersionsWords.SayWhichVersionYouSaw,
                StatusCodes.Status428PreconditionRequired
            );
    }

    /// <summary>Whether If-None-Match names the version: whoever asks has it already.</summary>
    public static bool IsSeen(HttpRequest request, long version) =>
        IsSeen(request, version.ToString(CultureInfo.InvariantCulture));

    /// <summary>Whether If-None-Match names the state: whoever asks has it already.</summary>
    public static bool IsSeen(HttpRequest request, string tag) =>
        request
            .Headers.IfNoneMatch.SelectMany(v => (v ?? "").Split(','))
            .Any(t =>
                t.Trim() is var seen
                && (seen == "*" || seen.Replace("W/", "", StringComparison.Ordinal) == $"\"{tag}\"")
            );

    public static void Tag(HttpResponse response, long version) =>
        Tag(response, version.ToString(CultureInfo.InvariantCulture));

    public static void Tag(HttpResponse response, string tag) => response.Headers.ETag = $"\"{tag}\"";
}
