using System.Text.Json.Nodes;

namespace FaithfulBracket.Formats.Documents.Editing;

/// <summary>One change of a document. Places are JSON pointers (RFC 6901); lengths mm, angles degrees.</summary>
public abstract record DocumentEdit;

/// <param name="Value">A length may be text with its unit (12.5 mm, 0.5 in, 500 mil); null takes the field away.</param>
public sealed record SetEdit(string At, JsonNode? Value) : DocumentEdit;

/// <summary>Moves what has a place or an outline.</summary>
public sealed record MoveEdit(IReadOnlyList<string> At, double X, double Y) : DocumentEdit;

/// <summary>Turns each about its own centre, counter-clockwise.</summary>
public sealed record TurnEdit(IReadOnlyList<string> At, double Deg) : DocumentEdit;

/// <summary>Adds to the end of a list; what lacks an id gets the next free one.</summary>
/// <param name="Value">Null begins one as usual at this place.</param>
public sealed record AddEdit(string To, JsonNode? Value, double X, double Y, bool Back) : DocumentEdit;

/// <summary>So many more like this one, each a step further.</summary>
public sealed record RowEdit(string At, int Count, double X, double Y) : DocumentEdit;

/// <summary>Copies on the other side of a line: <c>x</c> across x = about, <c>y</c> across y = about.</summary>
public sealed record MirrorEdit(IReadOnlyList<string> At, bool AcrossX, double About) : DocumentEdit;

public sealed record RemoveEdit(IReadOnlyList<string> At) : DocumentEdit;

/// <summary>Positions are taken from a picture from now on: the board says how far they may be out.</summary>
/// <param name="SigmaMm">Standard deviation per axis.</param>
public sealed record GradeEdit(double SigmaMm) : DocumentEdit
{
    /// <summary>Off a scan or photo laid by two spots; off a printed page at its own size.</summary>
    public const double ScanMm = 0.15,
        PageMm = 0.25;
}
