import { Faults } from '../parts/Faults'

/** The fault finder for anything at all; of a batch, its page has it with the batch's own records. */
export default function FaultFinder() {
  return (
    <div className="flex max-w-4xl flex-col gap-4">
      <h1 className="text-3xl">What is wrong with it?</h1>
      <p>
        By what is seen and smelled alone. From the page of a batch, its own heat, water and days are weighed with it.
      </p>
      <Faults />
    </div>
  )
}
