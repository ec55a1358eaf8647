namespace FaithfulBracket.Formats.Words.Documents;

/// <summary>Sentences of assembly reader.</summary>
internal static class AssemblyReaderWords
{
    public static string IsNoPieceOfThisAssembly(string j) => $"\"{j}\" is no piece of this assembly.";
}
