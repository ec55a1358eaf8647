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
        request
            .Headers.IfNoneMatch.SelectMany(v => (v ?? "").Split(','))
            .Any(t =>
                t.Trim() is var tag
                && (tag == "*" || tag.Replace("W/", "", StringComparison.Ordinal) == $"\"{version}\"")
            );

    public static void Tag(HttpResponse response, long version) => response.Headers.ETag = $"\"{version}\"";
}
