namespace FaithfulBracket.Formats.Words.Documents;

/// <summary>Sentences of assembly reader.</summary>
internal static class AssemblyReaderWords
{
    public static string IsNotPieceOfThisAssembly(string piece) => $"\"{piece}\" is not a piece of this assembly.";
}
