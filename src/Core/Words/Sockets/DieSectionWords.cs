namespace FaithfulBracket.Core.Words.Sockets;

/// <summary>Sentences of die section.</summary>
internal static class DieSectionWords
{
    public static Message StopsComeTooEarly(double early) => $"stops come {early:0.00} mm too early";
}
