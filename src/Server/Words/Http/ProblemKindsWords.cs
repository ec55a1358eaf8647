namespace FaithfulBracket.Server.Words.Http;

/// <summary>Sentences of problem kinds.</summary>
internal static class ProblemKindsWords
{
    public const string InputCouldBeRead =
        "The input could be read, and what it says cannot be: a figure out of its range, a name that nothing has.";

    public const string EachEntryOfErrorsNamesPlace =
        "Each entry of errors names a place by pointer and says what was expected there. Change it and send it "
        + "again.";

    public const string BodyIsNoWholeJSON =
        "The body is not complete JSON, is nested too deeply, or has fields that this call does not know.";

    public const string SentenceNamesLineOrField = "The sentence names the line or the field. Nothing was changed.";

    public const string ParameterOrHeaderIsMissing = "A parameter or a header is missing or of another kind.";

    public const string SentenceNamesIt = "The sentence names it.";

    public const string StepCanBeUndoneOnlyTogether =
        "A step can be undone only together with the signed steps that rest on it.";

    public const string RestsOnListsThem = "restsOn lists them. Send them as with, or undo them first.";

    public const string SomethingElseHasToBeSigned = "Something else has to be signed first.";

    public const string WaitsForListsIt = "waitsFor lists it.";

    public const string WhatSignatureRests = "What a signature rests on is not changed under it.";

    public const string UndoSignatureFirst = "Undo the signature first.";

    public const string SameKeyCameWithAnotherContent =
        "The same key came with another content: one sending counts once.";

    public const string KeptIsWhatStandsSent =
        "kept is what stands, sent what came. Send it under a new key if both are meant.";

    public const string FinishedJobChangesByCorrectionsAlone = "A finished job changes by corrections alone.";

    public const string SendCorrectionWithReason = "Send a correction with its reason.";

    public const string CorrectionsAreForFinishedJobs = "Corrections are for finished jobs.";

    public const string ChangeJobItself = "Change the job itself.";

    public const string VersionInIfMatch = "The version in If-Match is no longer the newest.";

    public const string ReadItAgainThenSendChange = "Read it again, then send the change again.";

    public const string DocumentThatOpenJobsRest = "A document that open jobs rest on is not taken away.";

    public const string FinishOrArchiveThoseJobs = "Finish or archive those jobs, or replace the document.";

    public const string AnotherDocumentHasThisId = "Another document has this id.";

    public const string ChooseAnotherIdOrReplaceDocument = "Choose another id, or replace the document on purpose.";

    public const string MoreWorkWasAsked = "More heavy work was asked for than is done at a time.";

    public const string WaitAsRetryAfterSaysThen = "Wait as Retry-After says, then ask again. Nothing was changed.";

    public const string ThereIsNothingAtThisAddress = "There is nothing at this address.";

    public const string LookAtAddress = "Look at the address; /openapi/v1.json lists every call.";

    public const string AddressTakesOtherMethods = "The address takes other methods.";

    public const string CallTakesAnotherContentType = "The call takes another content type.";

    public const string SentenceSaysWhich = "The sentence says which.";

    public const string OnlyThisShopsOwnPages =
        "Only this shop's own pages and programs write to it, under its own name.";

    public const string SendFromShopsOwnAddress =
        "Send from the shop's own address; start the server with --hosts for another name.";

    public const string ThisDeviceHasNotBeenPaired = "This device has not been paired with the shop.";

    public const string PairItInSettings = "Pair it in Settings.";

    public const string DatabaseCannotBeWorked =
        "The database cannot be worked with: full, damaged, or newer than the program.";

    public const string SentenceSaysWhatToDo = "The sentence says what to do.";

    public const string ServerFailedOnThisRequest = "The server failed on this request.";

    public const string NothingWasChanged = "Nothing was changed. The server's log has the details.";

    public const string InputBreaksRule = "The input breaks a rule";

    public const string InputCanNotBeRead = "The input cannot be read";

    public const string RequestCanNotBeRead = "The request cannot be read";

    public const string SignedStepsRest = "Signed steps rest on this one";

    public const string ThisStepIsLocked = "This step is locked";

    public const string ThisStepIsSigned = "This step is signed";

    public const string KeyIsTaken = "The key is taken";

    public const string ThisJobIsFinished = "This job is finished";

    public const string ThisJobIsOpen = "This job is open";

    public const string JobsRestOnThisDocument = "Jobs rest on this document";

    public const string IdIsTaken = "The id is taken";

    public const string TooMuchAtOnce = "Too much at once";
}
