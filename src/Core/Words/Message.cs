using System.Diagnostics.CodeAnalysis;
using System.Globalization;
using System.Runtime.CompilerServices;
using System.Text;
using System.Text.Json.Serialization;

namespace FaithfulBracket.Core.Words;

/// <summary>
/// What is stated to the user: a code and its quantities. Its sentence is made from them when somebody reads it, and no
/// earlier. It is written as an interpolated string: the member that writes it is its code, what stands in braces is its
/// quantities.
/// </summary>
[InterpolatedStringHandler]
[JsonConverter(typeof(MessageJson))]
public sealed class Message : IEquatable<Message>
{
    private readonly List<Part> _parts;
    private readonly string _member;
    private readonly string _file;
    private string? _sentence;

    /// <param name="literalLength">Letters outside of braces.</param>
    /// <param name="formattedCount">How many quantities follow.</param>
    /// <param name="member">The member that writes it.</param>
    /// <param name="file">The file that it is written in.</param>
    public Message(
        int literalLength,
        int formattedCount,
        [CallerMemberName] string member = "",
        [CallerFilePath] string file = ""
    )
    {
        _parts = new((2 * formattedCount) + 1);
        _member = member;
        _file = file;
    }

    private Message(List<Part> parts, string member, string file)
    {
        _parts = parts;
        _member = member;
        _file = file;
    }

    /// <summary>One stretch of a sentence: words, or a quantity with its format.</summary>
    private readonly record struct Part(object? Value, string? Format, bool IsQuantity)
    {
        public string Text =>
            Value switch
            {
                null => "",
                string text => text,
                Message inner => Format == Inside
                    ? $"{char.ToLowerInvariant(inner.ToString()[0])}{inner.ToString()[1..]}"
                    : inner,
                IFormattable quantity => quantity.ToString(Format, CultureInfo.InvariantCulture),
                _ => Value.ToString() ?? "",
            };
    }

    /// <summary>Format of a statement that goes on inside another one: its first letter is a small one.</summary>
    public const string Inside = "inside";

    /// <summary>Words that somebody else wrote: a name, or a sentence that was kept.</summary>
    public static Message Quote(string text) => new([new(text, null, true)], "", "");

    /// <summary>One statement after the other, with a space between them.</summary>
    public static Message Join(IEnumerable<Message> statements)
    {
        var joined = Empty;
        foreach (var statement in statements)
            joined =
                joined._parts.Count == 0 ? statement
                : statement._parts.Count == 0 ? joined
                : joined + Space + statement;
        return joined;
    }

    /// <summary>Nothing is stated.</summary>
    public static Message Empty { get; } = new([], "", "");

    /// <summary>The end of a sentence.</summary>
    public static Message Stop { get; } = new([new(".", null, false)], "", "");

    private static Message Space { get; } = new([new(" ", null, false)], "", "");

    /// <summary>Two statements as one.</summary>
    public static Message operator +(Message first, Message second) =>
        first._parts.Count == 0 ? second
        : second._parts.Count == 0 ? first
        : new([.. first.Pieces(), .. second.Pieces()], "", "");

    /// <summary>Its parts where it is put together of several, else the whole.</summary>
    private IEnumerable<Part> Pieces() => _member.Length == 0 ? _parts : [new(this, null, true)];

    public void AppendLiteral(string words) => _parts.Add(new(words, null, false));

    public void AppendFormatted<T>(T quantity) => _parts.Add(new(quantity, null, true));

    public void AppendFormatted<T>(T quantity, string? format) => _parts.Add(new(quantity, format, true));

    /// <summary>
    /// Which statement it is: the room and the member that state it, as <c>MountSteps.FitSlotBracket</c>. A quoted text has
    /// none and is "".
    /// </summary>
    public string Code => _member.Length == 0 ? "" : $"{Room(_file)}.{_member}";

    /// <summary>
    /// What it states apart from its words: its code, then its quantities in their order as they are shown, a statement
    /// among them by its own code and quantities.
    /// </summary>
    public IEnumerable<string> Stated
    {
        get
        {
            var quantities = _parts
                .Where(p => p.IsQuantity)
                .SelectMany(p => p.Value is Message inner ? inner.Stated : [p.Text]);
            return Code is { Length: > 0 } code ? quantities.Prepend(code) : quantities;
        }
    }

    private static string Room(string file)
    {
        var name = file.AsSpan(file.LastIndexOfAny(['/', '\\']) + 1);
        name = name.EndsWith(".cs", StringComparison.Ordinal) ? name[..^3] : name;
        foreach (var ending in Endings)
            name = name.EndsWith(ending, StringComparison.Ordinal) ? name[..^ending.Length] : name;
        return name.ToString();
    }

    private static readonly string[] Endings = ["Words", "Sentences"];

    /// <summary>The sentence.</summary>
    public override string ToString()
    {
        if (_sentence is not null)
            return _sentence;
        if (_parts.Count == 1)
            return _sentence = _parts[0].Text;
        var sentence = new StringBuilder();
        foreach (var part in _parts)
            sentence.Append(part.Text);
        return _sentence = sentence.ToString();
    }

    [return: NotNullIfNotNull(nameof(message))]
    public static implicit operator string?(Message? message) => message?.ToString();

    public bool Equals(Message? other) => other is not null && ToString() == other.ToString();

    public static bool operator ==(Message? one, Message? other) => Equals(one, other);

    public static bool operator !=(Message? one, Message? other) => !Equals(one, other);

    public override bool Equals(object? obj) => Equals(obj as Message);

    public override int GetHashCode() => ToString().GetHashCode(StringComparison.Ordinal);
}
