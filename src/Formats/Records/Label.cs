namespace FaithfulBracket.Formats.Records;

/// <summary>What a label is stuck on.</summary>
public enum LabelOf
{
    /// <summary>The job's ticket.</summary>
    Job,

    /// <summary>A bag or cell of the job's tray.</summary>
    Tray,

    /// <summary>A line of the drawer.</summary>
    Drawer,
}

/// <summary>A label: a code that any camera or scanner opens, and the same in words.</summary>
/// <param name="Key">The job's number; job/cell of a tray; kind/id of a drawer's line.</param>
public sealed record Label(LabelOf Of, string Key, string Title, string Sub)
{
    private const string Mark = "FB";

    public string Code => $"{Mark}:{Of.ToString().ToLowerInvariant()}:{Key}";

    /// <summary>What a code says; null where it is none of ours.</summary>
    public static (LabelOf Of, string Key)? Parse(string code)
    {
        var parts = code.Trim().Split(':', 3);
        return
            parts.Length == 3
            && parts[0].Equals(Mark, StringComparison.OrdinalIgnoreCase)
            && Enum.TryParse<LabelOf>(parts[1], true, out var of)
            && !char.IsAsciiDigit(parts[1].FirstOrDefault())
            && parts[2].Length is > 0 and <= 300
            ? (of, parts[2])
            : null;
    }
}
