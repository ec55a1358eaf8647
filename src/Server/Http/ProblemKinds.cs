using System.Net;
using System.Text;
using FaithfulBracket.Server.Words.Http;

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
            ProblemKindsWords.InputBreaksRule,
            422,
            ProblemKindsWords.InputCouldBeRead,
            ProblemKindsWords.EachEntryOfErrorsNamesPlace
        ),
        new(
            ProblemKindsWords.InputCanNotBeRead,
            400,
            ProblemKindsWords.BodyIsNoWholeJSON,
            ProblemKindsWords.SentenceNamesLineOrField
        ),
        new(
            ProblemKindsWords.RequestCanNotBeRead,
            400,
            ProblemKindsWords.ParameterOrHeaderIsMissing,
            ProblemKindsWords.SentenceNamesIt
        ),
        new(
            ProblemKindsWords.SignedStepsRest,
            409,
            ProblemKindsWords.StepCanBeUndoneOnlyTogether,
            ProblemKindsWords.RestsOnListsThem
        ),
        new(
            ProblemKindsWords.ThisStepIsLocked,
            409,
            ProblemKindsWords.SomethingElseHasToBeSigned,
            ProblemKindsWords.WaitsForListsIt
        ),
        new(
            ProblemKindsWords.ThisStepIsSigned,
            409,
            ProblemKindsWords.WhatSignatureRests,
            ProblemKindsWords.UndoSignatureFirst
        ),
        new(
            ProblemKindsWords.KeyIsTaken,
            409,
            ProblemKindsWords.SameKeyCameWithAnotherContent,
            ProblemKindsWords.KeptIsWhatStandsSent
        ),
        new(
            ProblemKindsWords.ThisJobIsFinished,
            409,
            ProblemKindsWords.FinishedJobChangesByCorrectionsAlone,
            ProblemKindsWords.SendCorrectionWithReason
        ),
        new(
            ProblemKindsWords.ThisJobIsOpen,
            409,
            ProblemKindsWords.CorrectionsAreForFinishedJobs,
            ProblemKindsWords.ChangeJobItself
        ),
        new(
            "Somebody was faster",
            412,
            ProblemKindsWords.VersionInIfMatch,
            ProblemKindsWords.ReadItAgainThenSendChange
        ),
        new(
            ProblemKindsWords.JobsRestOnThisDocument,
            409,
            ProblemKindsWords.DocumentThatOpenJobsRest,
            ProblemKindsWords.FinishOrArchiveThoseJobs
        ),
        new(
            ProblemKindsWords.IdIsTaken,
            409,
            ProblemKindsWords.AnotherDocumentHasThisId,
            ProblemKindsWords.ChooseAnotherIdOrReplaceDocument
        ),
        new(
            ProblemKindsWords.TooMuchAtOnce,
            503,
            ProblemKindsWords.MoreWorkWasAsked,
            ProblemKindsWords.WaitAsRetryAfterSaysThen
        ),
        new("Not here", 404, ProblemKindsWords.ThereIsNothingAtThisAddress, ProblemKindsWords.LookAtAddress),
        new(MethodRulesWords.NotByThisMethod, 405, ProblemKindsWords.AddressTakesOtherMethods, "Allow lists them."),
        new(
            MethodRulesWords.NotInThisForm,
            415,
            ProblemKindsWords.CallTakesAnotherContentType,
            ProblemKindsWords.SentenceSaysWhich
        ),
        new("Refused", 403, ProblemKindsWords.OnlyThisShopsOwnPages, ProblemKindsWords.SendFromShopsOwnAddress),
        new("Not paired", 401, ProblemKindsWords.ThisDeviceHasNotBeenPaired, ProblemKindsWords.PairItInSettings),
        new("The shop's file", 503, ProblemKindsWords.DatabaseCannotBeWorked, ProblemKindsWords.SentenceSaysWhatToDo),
        new("Something broke", 500, ProblemKindsWords.ServerFailedOnThisRequest, ProblemKindsWords.NothingWasChanged),
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
                            $"<p>Status {kind.Status}.</p><p>{Encode(kind.Meaning)}</p><p>{Encode(kind.Do)}</p>"
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
                $"<li><a href=\"{Folder}/{kind.Slug}\">{Encode(kind.Title)}</a>, {kind.Status}: {Encode(kind.Meaning)}"
            );
        return s.Append("</ul>").ToString();
    }

    private static IResult Page(string title, string body) =>
        Results.Content(
            $"<!doctype html><html lang=en><meta charset=utf-8><title>{Encode(title)}</title><h1>{Encode(title)}</h1>{body}",
            "text/html; charset=utf-8"
        );

    private static string Encode(string text) => WebUtility.HtmlEncode(text);
}
