import { useState } from 'react'
import { useHouseId, useOfHouse, useWrite } from '../api/hooks'
import { Button } from '../parts/Button'
import { Select } from '../parts/Field'
import { sent } from '../parts/form'
import { Trouble } from '../parts/Notice'
import { ROLES } from './measures'

export function People({ keeps }: { keeps: boolean }) {
  const house = useHouseId()
  const people = useOfHouse('/people')
  const [link, setLink] = useState<{ what: string; link: string } | null>(null)
  const [role, setRole] = useState('helper')
  const change = useWrite()
  const invite = useWrite<'POST /houses/{house}/invitations'>((made) =>
    setLink({ what: `An invitation, once, till ${made.until}`, link: made.link ?? '' }),
  )
  const reset = useWrite<'POST /houses/{house}/people/{person}/reset'>((made) =>
    setLink({ what: `A new-password link, once, till ${made.until}`, link: made.link }),
  )
  return (
    <section className="flex flex-col gap-4" aria-labelledby="people">
      <h2 id="people" className="text-2xl">
        People
      </h2>
      <ul>
        {people.data?.people.map((person) => (
          <li key={person.id} className="border-line flex flex-col gap-2 border-b py-2">
            <span>
              <strong>{person.name}</strong>
              {person.you ? ' (you)' : ''} <span className="text-soft block break-all">{person.email}</span>
            </span>
            {keeps && !person.you ? (
              <>
                <Select
                  label={`${person.name}’s part`}
                  value={person.role}
                  choices={ROLES}
                  onChange={(e) =>
                    change.mutate({
                      method: 'PATCH',
                      path: `/houses/${house}/people/${person.id}`,
                      body: { role: e.target.value },
                    })
                  }
                />
                <span className="flex flex-wrap gap-x-4">
                  {person.kept ? null : (
                    <button
                      type="button"
                      className="min-h-11 underline underline-offset-4"
                      onClick={() => reset.mutate({ path: `/houses/${house}/people/${person.id}/reset` })}
                    >
                      New-password link
                    </button>
                  )}
                  <button
                    type="button"
                    className="min-h-11 underline underline-offset-4"
                    onClick={() => change.mutate({ method: 'DELETE', path: `/houses/${house}/people/${person.id}` })}
                  >
                    Take {person.name} off
                  </button>
                </span>
              </>
            ) : (
              <span className="text-soft">{person.role}</span>
            )}
          </li>
        ))}
      </ul>
      {keeps ? (
        <form
          className="flex flex-col gap-3"
          onSubmit={sent(() => {
            invite.mutate({ path: `/houses/${house}/invitations`, body: { role } })
          })}
        >
          <Select label="Ask somebody in as" value={role} choices={ROLES} onChange={(e) => setRole(e.target.value)} />
          <Button type="submit" disabled={invite.isPending} className="self-start">
            Make an invitation link
          </Button>
        </form>
      ) : null}
      {link ? (
        <p role="status" className="border-rim rounded-rim border-2 p-3">
          {link.what}. Pass it on:
          <br />
          <code className="break-all select-all">{link.link}</code>
        </p>
      ) : null}
      <Trouble problem={change.error ?? invite.error ?? reset.error} />
      {keeps && people.data && people.data.invitations.length > 0 ? (
        <ul aria-label="Invitations not yet used">
          {people.data.invitations.map((each) => (
            <li key={each.id} className="border-line flex items-center justify-between border-b py-1">
              <span>
                {each.role}, till {each.until}
              </span>
              <button
                type="button"
                className="min-h-11 underline underline-offset-4"
                onClick={() => change.mutate({ method: 'DELETE', path: `/houses/${house}/invitations/${each.id}` })}
              >
                withdraw
              </button>
            </li>
          ))}
        </ul>
      ) : null}
    </section>
  )
}
