# frozen_string_literal: true

# The secret that session cookies are sealed with: made once, kept beside the database, whole or not at all.
module Secret
  FORM = /\A\h{128}\z/

  module_function

  # The secret in a file; a missing, empty or half-written one is made anew. Where none can be kept, one for this run.
  def at(path)
    kept = File.exist?(path) ? File.read(path).strip : ""
    FORM.match?(kept) ? kept : keep(path, SecureRandom.hex(64))
  rescue SystemCallError => error
    warn "norvel: #{path} can't be read (#{error.message}): people's pages will not outlive this run"
    SecureRandom.hex(64)
  end

  # Another process may have made one at the same time: the first wins.
  def keep(path, secret)
    temporary = "#{path}.#{Process.pid}.part"
    File.write(temporary, secret, perm: 0o600)
    File.rename(temporary, path)
    secret
  rescue SystemCallError => error
    warn "norvel: #{path} can't be written (#{error.message}): people's pages will not outlive this run"
    secret
  end
end
