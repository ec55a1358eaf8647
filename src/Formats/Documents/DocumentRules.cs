using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Formats.Words.Documents;

namespace FaithfulBracket.Formats.Documents;

/// <summary>Rules that every document keeps.</summary>
public static class DocumentRules
{
    private const double MinBoardMm = 15,
        MaxBoardMm = 700;

    public static void Head(ObjectReader o, string format)
    {
        o.Exactly("format", format);
        var version = o.OptionalInteger("version", 1, 1000);
        if (version is null && !o.Has("version"))
            o.Fault("version", "Missing: expected 1.");
        else if (version is > 1)
            o.Fault("version", DocumentRulesWords.ExpectedVersionFound(version));
    }

    /// <summary>Longest id of a document or of anything in it.</summary>
    public const int MaxId = 64;

    /// <summary>Letters, digits and <c>- _ . +</c>: what stands in an address and in a step's id as it is.</summary>
    public static bool IsIdLetter(char c) => char.IsAsciiLetterOrDigit(c) || c is '-' or '_' or '.' or '+';

    /// <summary>The id of the document or of one thing in it.</summary>
    public static string Id(ObjectReader o)
    {
        var id = o.Text("id");
        if (id.Length > MaxId)
            o.Fault("id", DocumentRulesWords.ExpectedAtMostCharactersFound(MaxId, id.Length));
        if (!id.All(IsIdLetter))
            o.Fault("id", DocumentRulesWords.ExpectedLettersDigits(id));
        else if (id.Length > 0 && id.All(c => c == '.'))
            o.Fault("id", DocumentRulesWords.ExpectedNameFound(id));
        return id;
    }

    /// <summary>A board's or pair's key: short, so that it can be said aloud and stand in a step's id.</summary>
    public static string Key(ObjectReader o, string field = "key")
    {
        var key = o.Text(field, 12);
        if (key.Length > 0 && !key.All(char.IsAsciiLetterOrDigit))
            o.Fault(field, DocumentRulesWords.ExpectedLettersAndDigitsOnlyFound(key));
        return key;
    }

    public static void Unique(ObjectReader o, string list, IEnumerable<string> ids)
    {
        foreach (var twice in ids.GroupBy(i => i).Where(g => g.Key.Length > 0 && g.Count() > 1))
            o.Fault(list.Length == 0 ? null : list, DocumentRulesWords.IdStandsTimes(twice.Key, twice.Count()));
    }

    /// <summary>A board far from any real size was written in other units.</summary>
    public static void BoardSize(ObjectReader o, Polygon outline)
    {
        if (!o.Has("outline") || outline.Area == 1)
            return;
        var longest = Math.Max(outline.Bounds.Width, outline.Bounds.Height);
        if (longest is >= MinBoardMm and <= MaxBoardMm)
            return;
        var guess =
            longest < MinBoardMm
                ? longest < 1
                    ? DocumentRulesWords.ItLooksLikeMetres
                    : DocumentRulesWords.ItLooksLikeInchesOrCentimetres
                : DocumentRulesWords.ItLooksLikeMilsOrMicrometres;
        o.Fault("outline", DocumentRulesWords.BoardIsLongExpected(longest, MinBoardMm, MaxBoardMm, guess));
    }
}
