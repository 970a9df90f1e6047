# Not built or tried by its makers: a beginning for whoever runs it so (docs/operating.md).
FROM node:20-bookworm-slim
WORKDIR /app
COPY . .
RUN npm ci && npx next build && useradd -m lantern && mkdir /data && chown lantern /data
USER lantern
ENV NODE_ENV=production DATA_DIR=/data HOST=0.0.0.0
EXPOSE 3000
CMD ["node", "scripts/serve/server.mjs", "3000"]
