namespace FaithfulBracket.Core.Paste;

/// <summary>Paste for one die or lid of a job.</summary>
public sealed record PasteFace(string Part, string PasteId, double ClampN, PasteAmount Amount, string Method, string Why, double GramsLeft, int Applications);
