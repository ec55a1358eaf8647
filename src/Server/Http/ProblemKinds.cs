using System.Net;
using System.Text;

namespace FaithfulBracket.Server.Http;

/// <summary>A kind of refusal, and what whoever meets it does.</summary>
/// <param name="Status">HTTP status it comes with.</param>
internal sealed record ProblemKind(string Title, int Status, string Meaning, string Do)
{
    /// <summary>Its name in addresses.</summary>
    public string Slug => Title.ToLowerInvariant().Replace("'", "", StringComparison.Ordinal).Replace(' ', '-');
}

/// <summary>Every kind of problem details (RFC 9457) that a call answers with; each has a page of its own.</summary>
internal static class ProblemKinds
{
    private const string Folder = "/problems";

    public static readonly IReadOnlyList<ProblemKind> All =
    [
        new(
            "The input breaks a rule",
            422,
            "The input could be read, and what it says cannot be: a figure out of its range, a name that nothing has.",
            "Each entry of errors names a place by pointer and says what was expected there. Change it and send it again."
        ),
        new(
            "The input can not be read",
            400,
            "The body is no whole JSON, is nested too deeply, or has fields that this call does not know.",
            "The sentence names the line or the field. Nothing was changed."
        ),
        new(
            "The request can not be read",
            400,
            "A parameter or a header is missing or of another kind.",
            "The sentence names it."
        ),
        new(
            "Signed steps rest on this one",
            409,
            "A step can be undone only together with the signed steps that rest on it.",
            "restsOn lists them. Send them as with, or undo them first."
        ),
        new("This step is locked", 409, "Something else has to be signed first.", "waitsFor lists it."),
        new(
            "This step is signed",
            409,
            "What a signature rests on is not changed under it.",
            "Undo the signature first."
        ),
        new(
            "The key is taken",
            409,
            "The same key came with another content: one sending counts once.",
            "kept is what stands, sent what came. Send it under a new key if both are meant."
        ),
        new(
            "This job is finished",
            409,
            "A finished job changes by corrections alone.",
            "Send a correction with its reason."
        ),
        new("This job is open", 409, "Corrections are for finished jobs.", "Change the job itself."),
        new(
            "Somebody was faster",
            412,
            "The version in If-Match is no longer the newest.",
            "Read it again, then send the change again."
        ),
        new(
            "Jobs rest on this document",
            409,
            "A document that open jobs rest on is not taken away.",
            "Finish or archive those jobs, or replace the document."
        ),
        new(
            "The id is taken",
            409,
            "Another document has this id.",
            "Choose another id, or replace the document on purpose."
        ),
        new(
            "Too much at once",
            503,
            "More heavy work was asked for than is done at a time.",
            "Wait as Retry-After says, then ask again. Nothing was changed."
        ),
        new(
            "Not here",
            404,
            "There is nothing at this address.",
            "Look at the address; /openapi/v1.json lists every call."
        ),
        new("Not by this method", 405, "The address takes other methods.", "Allow lists them."),
        new("Not in this form", 415, "The call takes another content type.", "The sentence says which."),
        new(
            "Refused",
            403,
            "Only this shop's own pages and programs write to it, under its own name.",
            "Send from the shop's own address; start the server with --hosts for another name."
        ),
        new("Not paired", 401, "This device has not been paired with the shop.", "Pair it in Settings."),
        new(
            "The shop's file",
            503,
            "The database cannot be worked with: full, damaged, or newer than the program.",
            "The sentence says what to do."
        ),
        new(
            "Something broke",
            500,
            "The server failed on this request.",
            "Nothing was changed. The server's log has the details."
        ),
    ];

    private static readonly Dictionary<string, ProblemKind> BySlug = All.ToDictionary(k => k.Slug);

    /// <summary>Address of a kind's page; about:blank for what is no kind of its own.</summary>
    public static string TypeOf(string title) =>
        All.FirstOrDefault(k => k.Title == title) is { } kind ? $"{Folder}/{kind.Slug}" : "about:blank";

    public static void Map(IEndpointRouteBuilder app)
    {
        app.MapGet(Folder, () => Page("Problems", List())).ExcludeFromDescription();
        app.MapGet(
                Folder + "/{slug}",
                (string slug) =>
                    BySlug.TryGetValue(slug, out var kind)
                        ? Page(
                            kind.Title,
                            $"<p>Status {kind.Status}.</p><p>{Told(kind.Meaning)}</p><p>{Told(kind.Do)}</p>"
                                + $"<p><a href=\"{Folder}\">All problems</a></p>"
                        )
                        : Results.NotFound()
            )
            .ExcludeFromDescription();
    }

    private static string List()
    {
        var s = new StringBuilder("<ul>");
        foreach (var kind in All)
            s.Append(
                $"<li><a href=\"{Folder}/{kind.Slug}\">{Told(kind.Title)}</a>, {kind.Status}: {Told(kind.Meaning)}"
            );
        return s.Append("</ul>").ToString();
    }

    private static IResult Page(string title, string body) =>
        Results.Content(
            $"<!doctype html><html lang=en><meta charset=utf-8><title>{Told(title)}</title><h1>{Told(title)}</h1>{body}",
            "text/html; charset=utf-8"
        );

    private static string Told(string text) => WebUtility.HtmlEncode(text);
}
