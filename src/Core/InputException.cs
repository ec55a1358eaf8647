namespace FaithfulBracket.Core;

/// <summary>Input that breaks a rule of the trade or of a document; every fault has a place and a sentence.</summary>
public sealed class InputException(IReadOnlyList<InputFault> faults)
    : Exception(string.Join(" ", faults.Select(f => $"{f.Field}: {f.Message}")))
{
    public InputException(string field, string message)
        : this([new(field, message)]) { }

    public IReadOnlyList<InputFault> Faults { get; } = faults;
}

/// <param name="Field">Which input: its name, with the place in a list such as supports/3; a reader of a document
/// names its own place in it.</param>
/// <param name="Message">What was found, what is expected, and the fix.</param>
public sealed record InputFault(string Field, string Message);
